// What can be done to a project from a list of them.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { useOpened } from '../shared/focus'
import { Floating } from '../shared/parts/Floating'
import { useProjectActs, type ActedOn, type ProjectAct } from './useProjectActs'

interface Props {
  project: ActedOn & { finished_at?: string | null; deleted_at?: string | null }
  // Has the work begun?
  begun?: boolean
}

function actsOn({ project, begun = true }: Props): ProjectAct[] {
  if (project.deleted_at) return ['restore']
  if (!begun) return ['delete']
  return [project.finished_at ? 'reopen' : 'finish', 'delete']
}

export function ProjectMenu(props: Props) {
  const { t } = useTranslation()
  const { perform } = useProjectActs()
  const { open, setOpen, opener, inside } = useOpened()
  const { project } = props
  const label = t('projects.menu', { name: project.name })
  return (
    <Floating
      label={label}
      placement="bottomRight"
      {...{ open, setOpen, inside }}
      content={
        <div className="menu-in-place">
          {!project.deleted_at && <Link to={`/projects/${project.id}/brief`}>{t('projects.brief')}</Link>}
          {actsOn(props).map((kind) => (
            <button
              type="button"
              key={kind}
              onClick={() => {
                setOpen(false)
                perform(kind, [project])
              }}
            >
              {t(`projects.${kind}`)}
            </button>
          ))}
        </div>
      }
    >
      <button ref={opener} type="button" className="more-button" aria-label={label} aria-expanded={open}>
        ⋯
      </button>
    </Floating>
  )
}

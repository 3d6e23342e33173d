// One finding: source and target with the spots marked, what is wrong in a sentence, what can be done. A press on
// the text opens it to be written in; its number leads to its place in the text.
import type { KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { direction } from '../../shared/languages'
import { Moon } from '../../shared/parts/Moon'
import type { Project } from '../../shared/types'
import { Written } from '../../shared/Written'
import type { Finding, Span } from '../queries'
import { Acts } from './Acts'
import { EditHere } from './EditHere'
import type { Open } from './FindingList'
import { IgnoreForm } from './IgnoreForm'
import { Standing } from './Standing'
import type { Mending } from './useMending'

interface Props {
  finding: Finding
  project: Project
  mending: Mending
  open: 'writing' | 'standing' | null
  first: boolean
  setOpen: (open: Open) => void
  onClose: () => void
  onKeyDown: (event: KeyboardEvent) => void
}

export function FindingItem(props: Props) {
  const { finding, project, mending, open, first, setOpen, onClose, onKeyDown } = props
  const { t } = useTranslation()
  return (
    <li className={finding.level}>
      <Link
        className="gutter plain"
        to={`/projects/${project.id}/translate#${finding.segment_id}`}
        tabIndex={-1}
        aria-label={t('check.toText', { number: finding.number })}
      >
        <span>{finding.number}</span>
        <Moon state={finding.state} />
      </Link>
      {open === 'writing' ? (
        <EditHere project={project} segment={finding.segment_id} onClose={onClose} />
      ) : (
        <div>
          <button
            type="button"
            className="plain finding"
            tabIndex={first ? 0 : -1}
            onKeyDown={onKeyDown}
            onClick={() => setOpen({ key: finding.key, what: 'writing' })}
          >
            <Texts finding={finding} project={project} />
            <span className="message">
              <span className="hidden-text">{t(`check.levels.${finding.level}`)}: </span>
              {finding.message}
            </span>
          </button>
          <Standing finding={finding} />
          {open === 'standing' && (
            <IgnoreForm
              project={project}
              onStand={(place, reason) => {
                mending.letStand(finding, place, reason)
                onClose()
              }}
              onClose={onClose}
            />
          )}
        </div>
      )}
      {open === null && (
        <Acts {...{ finding, mending }} onStand={() => setOpen({ key: finding.key, what: 'standing' })} />
      )}
    </li>
  )
}

const marks = (spans: Span[]) =>
  spans.toSorted((one, other) => one[0] - other[0]).map(([from, to]) => ({ from, to }))

function Texts({ finding, project }: Pick<Props, 'finding' | 'project'>) {
  const { source_lang: from, target_lang: into } = project
  return (
    <>
      <span className="source" lang={from ?? undefined} dir={direction(from)}>
        <Written value={finding.source_written} codes={finding.codes} changes={marks(finding.source)} />
      </span>
      <span className="target" lang={into ?? undefined} dir={direction(into)}>
        <Written value={finding.target_written} codes={finding.codes} changes={marks(finding.target)} />
      </span>
    </>
  )
}

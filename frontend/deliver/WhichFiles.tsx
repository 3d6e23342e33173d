// Which files go out, where there are several.
import { Checkbox } from 'antd'
import { useTranslation } from 'react-i18next'
import type { Project } from '../shared/types'
import { useSinceLast } from './queries'

interface Props {
  project: Project
  stamp: number
  left: ReadonlySet<number>
  onLeft: (left: ReadonlySet<number>) => void
}

export function WhichFiles({ project, stamp, left, onLeft }: Props) {
  const { t } = useTranslation()
  const { data: since } = useSinceLast(project.id, stamp)
  if (project.documents.length < 2) return null
  const turn = (id: number, on: boolean) => {
    const next = new Set(left)
    if (on) next.delete(id)
    else next.add(id)
    onLeft(next)
  }
  const unchanged = project.documents.map((one) => one.id).filter((id) => !since?.document_ids.includes(id))
  const some = unchanged.length > 0 && unchanged.length < project.documents.length
  return (
    <fieldset className="which-files">
      <legend>{t('deliver.which')}</legend>
      {project.documents.map((document) => (
        <Checkbox
          key={document.id}
          checked={!left.has(document.id)}
          onChange={(event) => turn(document.id, event.target.checked)}
        >
          {document.name}
        </Checkbox>
      ))}
      {since?.number && some && (
        <button type="button" className="link small" onClick={() => onLeft(new Set(unchanged))}>
          {t('deliver.onlyChanged', { number: since.number })}
        </button>
      )}
    </fieldset>
  )
}

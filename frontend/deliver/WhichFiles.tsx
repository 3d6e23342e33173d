// Which files go out, where there are several.
import { Checkbox } from 'antd'
import { useTranslation } from 'react-i18next'
import type { Project } from '../shared/types'

interface Props {
  project: Project
  left: ReadonlySet<number>
  onLeft: (left: ReadonlySet<number>) => void
}

export function WhichFiles({ project, left, onLeft }: Props) {
  const { t } = useTranslation()
  if (project.documents.length < 2) return null
  const turn = (id: number, on: boolean) => {
    const next = new Set(left)
    if (on) next.delete(id)
    else next.add(id)
    onLeft(next)
  }
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
    </fieldset>
  )
}

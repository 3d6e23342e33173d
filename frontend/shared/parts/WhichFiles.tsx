// Which files of a project go out, where there are several.
import { Checkbox } from 'antd'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import type { DocumentRow } from '../types'

interface Props {
  documents: DocumentRow[]
  left: ReadonlySet<number>
  onLeft: (left: ReadonlySet<number>) => void
  children?: ReactNode
}

export function WhichFiles({ documents, left, onLeft, children }: Props) {
  const { t } = useTranslation()
  if (documents.length < 2) return null
  const turn = (id: number, on: boolean) => {
    const next = new Set(left)
    if (on) next.delete(id)
    else next.add(id)
    onLeft(next)
  }
  return (
    <fieldset className="which-files">
      <legend>{t('whichFiles')}</legend>
      {documents.map((document) => (
        <Checkbox
          key={document.id}
          checked={!left.has(document.id)}
          onChange={(event) => turn(document.id, event.target.checked)}
        >
          {document.name}
        </Checkbox>
      ))}
      {children}
    </fieldset>
  )
}

// The files that go out, each with its words and when it went out last; where there are several, some can be
// left out.
import { Checkbox } from 'antd'
import type { TFunction } from 'i18next'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { number, shortDate } from '../shared/i18n'
import type { Delivery, DocumentRow } from '../shared/types'

interface Props {
  documents: DocumentRow[]
  deliveries: Delivery[]
  left: ReadonlySet<number>
  onLeft: (left: ReadonlySet<number>) => void
  children?: ReactNode
}

export function FilesToDeliver({ documents, deliveries, left, onLeft, children }: Props) {
  const { t } = useTranslation()
  const turn = (id: number, on: boolean) => {
    const next = new Set(left)
    if (on) next.delete(id)
    else next.add(id)
    onLeft(next)
  }
  return (
    <fieldset className="files-to-deliver">
      <legend className="hidden-text">{t('whichFiles')}</legend>
      <ul className="lines">
        {documents.map((document) => (
          <li key={document.id}>
            <span>
              {documents.length > 1 ? (
                <Checkbox
                  checked={!left.has(document.id)}
                  onChange={(event) => turn(document.id, event.target.checked)}
                >
                  <b>{document.name}</b>
                </Checkbox>
              ) : (
                <b>{document.name}</b>
              )}
              <span className="small quiet words">
                {t('deliver.words', { words: number(document.facts.words ?? 0) })}
              </span>
            </span>
            <span className="small quiet">{lastOf(document.id, deliveries, t)}</span>
          </li>
        ))}
      </ul>
      {children}
    </fieldset>
  )
}

function lastOf(document: number, deliveries: Delivery[], t: TFunction) {
  const last = deliveries.find(({ files }) => files.some((file) => file.document_id === document))
  if (!last) return t('deliver.neverYet')
  const proved = last.files.find((file) => file.document_id === document)!.proof.identical
  const when = { number: last.number, day: shortDate(last.created_at) }
  return t(proved ? 'deliver.lastProved' : 'deliver.lastUnproved', when)
}

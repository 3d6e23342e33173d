// One press for the files in which something changed since they went out last.
import { useTranslation } from 'react-i18next'
import type { DocumentRow } from '../shared/types'
import { useSinceLast } from './queries'

interface Props {
  project: number
  documents: DocumentRow[]
  stamp: number
  onLeft: (left: ReadonlySet<number>) => void
}

export function OnlyChanged({ project, documents, stamp, onLeft }: Props) {
  const { t } = useTranslation()
  const { data: since } = useSinceLast(project, stamp)
  if (!since?.number) return null
  const unchanged = documents.map((one) => one.id).filter((id) => !since.document_ids.includes(id))
  if (unchanged.length === 0 || unchanged.length === documents.length) return null
  return (
    <button type="button" className="link small" onClick={() => onLeft(new Set(unchanged))}>
      {t('deliver.onlyChanged', { number: since.number })}
    </button>
  )
}

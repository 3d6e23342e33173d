// A file of the brief: as it is read, refused, or ready with its figures and settings.
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { finished } from '../operations/follow'
import type { DocumentRow, Operation } from '../shared/types'
import { useSegmentationPreview } from '../shared/useSegmentationPreview'
import { FileNotTaken } from './FileNotTaken'
import { FileOnItsWay } from './FileOnItsWay'
import { FileReady } from './FileReady'
import { useRemoveFile } from './useRemoveFile'
import type { Attempt } from './useChanges'

export type Settle = (settings: Record<string, unknown>) => void

interface Props {
  row: DocumentRow
  project: number
  version?: DocumentRow
  fixed: boolean
  attempt: Attempt
}

export function FileRow({ row, project, version, fixed, attempt }: Props) {
  const { t } = useTranslation()
  const removeFile = useRemoveFile(attempt)
  const look = useSegmentationPreview(project)
  // Once the work has begun, what is translated is looked at first.
  const settle: Settle = (settings) =>
    attempt(async () => {
      if (fixed && !(await look({ document_id: row.id, ...settings }))) return
      const answer = await api.patch<Operation | DocumentRow>(`/documents/${row.id}`, settings)
      // Once the project has begun the file is segmented anew.
      if ('kind' in answer) await finished(answer)
    })
  const remove = (
    <button
      type="button"
      className="quiet"
      aria-label={`${t('brief.remove')}: ${row.name}`}
      title={t('brief.remove')}
      onClick={() => attempt(() => removeFile(row))}
    >
      ✕
    </button>
  )
  const shared = { row, attempt, settle, remove }
  if (row.state === 'refused' || row.state === 'cancelled') return <FileNotTaken {...shared} />
  if (row.state !== 'ready') return <FileOnItsWay {...shared} />
  return <FileReady {...shared} version={version} fixed={fixed} />
}

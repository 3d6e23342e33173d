// What can be done about the version of a file: a newer one chosen, the one before brought back, the file read
// again.
import { useTranslation } from 'react-i18next'
import { finished } from '../operations/follow'
import { api } from '../shared/api'
import type { DocumentRow, Operation } from '../shared/types'
import { versionReport } from './NewVersion'
import type { Attempt } from './useChanges'

export function NewerVersion({ row, send }: { row: DocumentRow; send: (file?: File) => void }) {
  const { t } = useTranslation()
  return (
    <>
      {' · '}
      <label className="plain-link chooser">
        {t('version.choose')}
        <input
          type="file"
          className="hidden-text"
          aria-label={`${t('version.choose')}: ${row.name}`}
          onChange={(event) => {
            const file = event.target.files?.[0]
            event.target.value = ''
            send(file)
          }}
        />
      </label>
    </>
  )
}

// Read by an earlier version of the readers, or found otherwise when it was to be delivered.
export function ReadAgain({ row, attempt }: { row: DocumentRow; attempt: Attempt }) {
  const { t } = useTranslation()
  const readAgain = () =>
    attempt(async () => finished(await api.patch<Operation>(`/documents/${row.id}`, { read_again: true })))
  return (
    <>
      {' · '}
      <button
        type="button"
        className="plain-link"
        aria-label={`${t('version.readAgain')}: ${row.name}`}
        onClick={readAgain}
      >
        {t('version.readAgain')}
      </button>
    </>
  )
}

export function OldVersion({ row, attempt }: { row: DocumentRow; attempt: Attempt }) {
  const { t } = useTranslation()
  const putBack = () =>
    attempt(async () => finished(await api.delete<Operation>(`/documents/${row.id}/version`)))
  return (
    <>
      {' · '}
      <button type="button" className="plain-link" onClick={putBack}>
        {t('version.back')}
      </button>
      {' · '}
      <a className="plain-link" href={versionReport(row.id)} download>
        {t('version.report')}
      </a>
    </>
  )
}

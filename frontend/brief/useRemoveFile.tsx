// Takes a file out, and says how it comes back.
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import type { DocumentRow } from '../shared/types'
import { useOffer } from '../shared/useOffer'
import type { Attempt } from './useChanges'

export function useRemoveFile(attempt: Attempt) {
  const { t } = useTranslation()
  const offer = useOffer('away')
  return async (row: DocumentRow) => {
    await api.delete(`/documents/${row.id}`)
    const back = () => attempt(() => api.patch(`/documents/${row.id}`, { deleted: false }))
    offer(t('brief.removed', { name: row.name }), t('brief.bringBack'), back)
  }
}

// A file that waits to be read, or is being read.
import { Progress } from 'antd'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { number } from '../shared/i18n'
import type { DocumentRow } from '../shared/types'
import type { Attempt } from './useChanges'

export function FileOnItsWay({
  row,
  attempt,
  remove,
}: {
  row: DocumentRow
  attempt: Attempt
  remove: ReactNode
}) {
  const { t } = useTranslation()
  const cancel = () => attempt(() => api.delete(`/documents/${row.id}/reading`))
  const share = row.total ? Math.round((100 * row.done) / row.total) : 0
  return (
    <li>
      <div>
        <div className="name">{row.name}</div>
        <p className="small quiet">
          {row.total
            ? t('brief.reading', { done: number(row.done), total: number(row.total) })
            : t('brief.waiting')}
        </p>
      </div>
      <div className="wide under-way">
        <Progress percent={share} showInfo={false} size="small" aria-label={row.name} />
        <button type="button" className="link small" onClick={cancel}>
          {t('brief.cancel')}
        </button>
      </div>
      {remove}
    </li>
  )
}

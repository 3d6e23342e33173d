// A file that could not be read, with the reason, or whose reading was cancelled.
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import type { DocumentRow } from '../shared/types'
import type { Settle } from './FileRow'
import { Options } from './Options'
import type { Attempt } from './useChanges'

interface Props {
  row: DocumentRow
  attempt: Attempt
  settle: Settle
  remove: ReactNode
}

export function FileNotTaken({ row, attempt, settle, remove }: Props) {
  const { t } = useTranslation()
  const refused = row.state === 'refused'
  const again = () => attempt(() => api.post(`/documents/${row.id}/reading`))
  return (
    <li>
      <div className="whole">
        <div className="name">{row.name}</div>
        <p className={`small ${refused ? 'alarm' : 'quiet'}`}>
          {refused ? t('brief.notTaken', { message: row.message }) : row.message}{' '}
          {!refused && (
            <button type="button" className="link" onClick={again}>
              {t('brief.readAgain')}
            </button>
          )}
          {row.format && <Options row={row} onChange={(options) => settle({ options })} />}
        </p>
      </div>
      {remove}
    </li>
  )
}

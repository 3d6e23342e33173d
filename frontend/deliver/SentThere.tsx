// What came of a delivery on the client's server: its receipt, or that it is on its way and why.
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { fullDate, time } from '../shared/i18n'
import type { Delivery } from '../shared/types'
import { useAct } from '../shared/useAct'

export function SentThere({ delivery, onAgain }: { delivery: Delivery; onAgain: () => Promise<unknown> }) {
  const { t } = useTranslation()
  const { act } = useAct()
  const { receipt, outgoing_request: sending } = delivery
  const again = () =>
    void act(async () => {
      await api.post(`/deliveries/${delivery.id}/outgoing_request`, {})
      await onAgain()
    })
  if (receipt) {
    const date = receipt.at ? `${fullDate(receipt.at)}, ${time(receipt.at)}` : ''
    return (
      <p className="small" role="status">
        {t('servers.receipt', { receipt: receipt.receipt, count: receipt.files, date })}
      </p>
    )
  }
  if (!sending) return null
  return (
    <p className={sending.state === 'refused' ? 'small alarm' : 'small'} role="status">
      {t(sending.state === 'refused' ? 'servers.notTaken' : 'servers.onItsWay')} {sending.trouble}{' '}
      {sending.state !== 'going' && (
        <button type="button" className="link" onClick={again}>
          {t('servers.sendAgain')}
        </button>
      )}
    </p>
  )
}

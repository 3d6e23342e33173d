// In which order findings are shown.
import { useTranslation } from 'react-i18next'
import { ORDERS, type Order } from '../choice'

export function Orders({ order, onOrder }: { order: Order; onOrder: (order: Order) => void }) {
  const { t } = useTranslation()
  return (
    <span className="orders" role="group" aria-label={t('check.order')}>
      {ORDERS.map((one) => (
        <button key={one} type="button" aria-pressed={one === order} onClick={() => onOrder(one)}>
          {t(`check.orders.${one}`)}
        </button>
      ))}
    </span>
  )
}

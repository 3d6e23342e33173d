// Review requests of colleagues.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { longDate, number } from '../shared/i18n'
import type { ToReview as Asked } from '../shared/types'

export function ToReview({ list }: { list: Asked[] }) {
  const { t } = useTranslation()
  if (!list.length) return null
  return (
    <section className="to-review" aria-label={t('today.toReview')}>
      <h2 className="small quiet">{t('today.toReview')}</h2>
      <ul>
        {list.map((one) => (
          <li key={one.id}>
            <Link to={`/reviews/${one.id}`}>{one.name}</Link>{' '}
            <span className="small quiet">
              {t('today.toReviewLine', { from: one.from, read: number(one.read), sent: number(one.sent) })}
              {` · ${one.source_lang} → ${one.target_lang}`}
              {one.due_at && ` · ${t('due', { when: longDate(one.due_at) })}`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}

// Above the changes of a round: whose they are, how far they are decided, and what can be done with all of
// them.
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import type { ReviewChange } from '../shared/types'
import type { RoundPage } from './queries'
import type { Deciding } from './useDeciding'

interface Props {
  page: RoundPage
  deciding: Deciding
  // Those that can be taken at once.
  left: ReviewChange[]
  onText?: () => void
}

export function BackHead({ page, deciding, left, onText }: Props) {
  const { t } = useTranslation()
  const { round, changes } = page
  const { id: project } = useParams()
  const { reviser, counts, way } = round
  return (
    <header>
      <div>
        <h1>{t(way === 'inside' ? 'review.changesBy' : 'review.backFrom', { reviser })}</h1>
        <p className="small quiet" role="status">
          {t('review.counts', {
            count: changes.length,
            taken: counts.taken,
            open: counts.open,
            left: counts.left,
          })}
        </p>
      </div>
      <p className="outs">
        {left.length > 0 && (
          <button type="button" className="link" onClick={() => deciding.decide(left, 'taken')}>
            {t('review.takeAll', { count: left.length })}
          </button>
        )}
        {onText && (
          <button type="button" className="link" onClick={onText}>
            {t('review.toText')}
          </button>
        )}
        <Link className="quiet-link" to={`/projects/${project}/review/${round.id}`}>
          {t('review.reportPage')}
        </Link>
        {counts.taken > 0 && (
          <button type="button" className="quiet-link" onClick={deciding.reopen}>
            {t('review.takeBack')}
          </button>
        )}
        {round.state === 'back' && (
          <button type="button" className="quiet-link" onClick={deciding.close}>
            {t('review.close')}
          </button>
        )}
      </p>
    </header>
  )
}

// The rounds of a project, the newest first.
import type { TFunction } from 'i18next'
import { useTranslation } from 'react-i18next'
import { fullDate, number, time } from '../shared/i18n'
import type { Project, ReviewRound } from '../shared/types'

interface Props {
  project: Project
  rounds: ReviewRound[]
  open: number | null
  onOpen: (id: number) => void
  onNew: () => void
}

export function Rounds({ rounds, open, onOpen, onNew }: Props) {
  const { t } = useTranslation()
  return (
    <aside aria-label={t('review.rounds')}>
      <h2>{t('review.rounds')}</h2>
      <ul>
        {rounds.map((round) => (
          <li key={round.id}>
            <button type="button" aria-pressed={round.id === open} onClick={() => onOpen(round.id)}>
              <b>
                {round.number} · {round.way === 'inside' && !round.guest ? t('review.you') : round.reviser}
              </b>
              <span className="small quiet">
                {whenText(round, t)}
                {round.remarks > 0 && ` · ${t('review.remarks', { count: round.remarks })}`}
              </span>
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="link" aria-pressed={open === null} onClick={onNew}>
        {t('review.new')}
      </button>
    </aside>
  )
}

function whenText(round: ReviewRound, t: TFunction) {
  const out = fullDate(round.created_at)
  if (round.way === 'inside')
    return round.closed_at
      ? t('review.insideClosed', { date: out, closed: fullDate(round.closed_at) })
      : t('review.insideSince', { date: out, read: number(round.read), sent: number(round.sent) })
  if (!round.back_at) return t('review.outSince', { date: out, count: round.sent })
  const back = `${fullDate(round.back_at)}, ${time(round.back_at)}`
  return t(round.state === 'closed' ? 'review.closed' : 'review.outAndBack', { out, back })
}

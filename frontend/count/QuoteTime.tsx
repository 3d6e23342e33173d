// How long it takes at the user's pace, and until when: on a line from now to the due date.
import type { TFunction } from 'i18next'
import { useTranslation } from 'react-i18next'
import { dayAndMonth, daysUntil, now, number, time, weekday } from '../shared/i18n'
import type { Working } from '../shared/types'
import { hoursText } from './figures'
import { isAhead, isLate, type SavingQuote } from './useSaveQuote'

const WEEK = 7 * 86_400_000
const MARGIN = 1.15

function dayText(date: Date, t: TFunction) {
  const iso = date.toISOString()
  if (daysUntil(iso) === 0) return t('quote.today', { time: time(iso) })
  const near = isAhead(iso) && date.getTime() - now().getTime() < WEEK
  return `${near ? weekday(iso) : dayAndMonth(iso)}, ${time(iso)}`
}

export function QuoteTime({ saving, working }: { saving: SavingQuote; working: Working }) {
  const { t } = useTranslation()
  const { hours, pace, done, due } = saving
  const measured = Object.keys(pace.bands).length > 0
  const begin = now().getTime()
  const late = isLate(saving)
  const end = due ? new Date(due).getTime() : begin + ((done?.getTime() ?? begin) - begin) * MARGIN
  const share = done ? Math.min(1, (done.getTime() - begin) / Math.max(1, end - begin)) : 1
  return (
    <div className="time">
      <h3>{t('quote.time')}</h3>
      <p>
        {t('quote.about')} <b>{hoursText(hours)}</b>{' '}
        {t(measured ? 'quote.measured' : 'quote.atPace', { words: number(pace.words_per_hour) })}{' '}
        {done ? (
          <>
            {t('quote.doneBy')} <b className={late ? 'alarm' : ''}>{dayText(done, t)}</b>{' '}
            {t(late ? 'quote.tooLate' : 'quote.ifNow')}
          </>
        ) : (
          t('quote.neverDone')
        )}
      </p>
      <div className={`time-line${late ? ' late' : ''}`} aria-hidden="true">
        <span style={{ left: `${100 * share}%` }} />
      </div>
      <p className="small quiet ends" aria-hidden="true">
        <span>{t('quote.now')}</span>
        <span>{due ? t('quote.dueOn', { when: dayText(new Date(due), t) }) : ''}</span>
      </p>
      <p className="small quiet">{t('quote.workingHours', { from: working.from, to: working.to })}</p>
    </div>
  )
}

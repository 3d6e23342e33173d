// When something is due, as short as it can be told.
import type { TFunction } from 'i18next'
import { daysUntil, shortDate, time, weekday } from './i18n'

const WEEK = 7

export function dayText(due: string | null, t: TFunction) {
  if (!due) return t('today.noDue')
  const days = daysUntil(due)
  if (days === 0) return t('app.today')
  if (days === 1) return t('today.tomorrow')
  return days > 0 && days < WEEK ? weekday(due) : shortDate(due)
}

// The time; with the date where the day is told by its name alone.
export function timeText(due: string) {
  const days = daysUntil(due)
  return days > 1 && days < WEEK ? `${shortDate(due)}, ${time(due)}` : time(due)
}

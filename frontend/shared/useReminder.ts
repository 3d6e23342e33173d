// A reminder in the tab's title of what is due within a day; the server says what that is.
import { useQuery } from '@tanstack/react-query'
import type { TFunction } from 'i18next'
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from './api'
import { daysUntil, time, weekday } from './i18n'
import { keys } from './queryKeys'
import type { Agenda } from './types'

const EVERY = 5 * 60_000
const NAME = 'Glossema'

export function reminderText(due: string, t: TFunction): string {
  const days = daysUntil(due)
  if (days < 0) return t('today.wasDue')
  if (days === 0) return t('today.dueToday', { time: time(due) })
  return days === 1
    ? t('today.dueTomorrow', { time: time(due) })
    : t('today.dueOn', { day: weekday(due), time: time(due) })
}

export function useReminder() {
  const { t } = useTranslation()
  const agenda = useQuery({
    queryKey: keys.today,
    queryFn: () => api.get<Agenda>('/today'),
    refetchInterval: EVERY,
    staleTime: EVERY,
  })
  const first = agenda.data?.reminders[0]
  useEffect(() => {
    document.title = first ? `${first.name} ${reminderText(first.due_at, t)} · ${NAME}` : NAME
  }, [first, t])
}

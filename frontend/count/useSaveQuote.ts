// How long the work takes, by when, how long the quote holds; and saving it.
import dayjs from 'dayjs'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { now } from '../shared/i18n'
import { keys } from '../shared/queryKeys'
import type { Pace, Report, Working } from '../shared/types'
import { useAct } from '../shared/useAct'
import { useOffer } from '../shared/useOffer'
import { doneAt, hoursOf } from '../shared/workTime'
import { keepQuote, usePace } from './queries'
import type { RatesInHand } from './useRates'

const DAYS = 30
const NOT_MEASURED: Pace = { words_per_hour: 350, bands: {} }

export interface SavingQuote {
  days: number
  setDays: (days: number) => void
  validUntil: string
  hours: number
  pace: Pace
  done: Date | null
  due: string | null
  setDue: (due: string | null) => void
  keep: () => void
  busy: boolean
}

// Can it not be done by the due date?
export const isLate = ({ due, done }: SavingQuote) => !!due && !!done && done > new Date(due)

export const isAhead = (due: string | null) => !!due && new Date(due) > now()

export function useSaveQuote(
  report: Report,
  hand: RatesInHand,
  working: Working,
  dueAtFirst: string | null,
): SavingQuote {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const go = useNavigate()
  const { act, busy } = useAct()
  const offer = useOffer('quote')
  const pace = usePace().data ?? NOT_MEASURED
  const [days, setDays] = useState(DAYS)
  const [due, setDue] = useState(dueAtFirst)
  const hours = hoursOf(report.figures!.bands, hand.rates.weights, pace)
  const done = doneAt(now(), hours, working)
  const validUntil = dayjs().add(days, 'day').format('YYYY-MM-DD')
  const keep = () =>
    void act(async () => {
      const kept = await keepQuote({
        report_id: report.id,
        rates: hand.rates,
        total: hand.quote.total,
        valid_until: validUntil,
        done_at: (isAhead(due) ? due : done?.toISOString()) ?? null,
      })
      await cache.invalidateQueries({ queryKey: keys.allQuotes })
      offer(t('quote.keptAs', { number: kept.number }), t('quote.look'), () => void go(`/quotes/${kept.id}`))
    })
  return { days, setDays, validUntil, hours, pace, done, due, setDue, keep, busy }
}

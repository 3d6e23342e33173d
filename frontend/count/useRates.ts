// The rates of a quote in edit: the client's, or the default ones, changed field by field. An invalid value
// is reported at its field and changes nothing.
import { useMemo, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { decimalsOf, isAmount, isWeight, quoteOf } from '../shared/quote'
import type { Band, QuoteSums, Rates, Report } from '../shared/types'

// What bands weigh where nothing else was said.
export const USUAL: Rates = {
  currency: 'EUR',
  unit: 'word',
  rate: '0.10',
  minimum: '',
  rush: '0',
  rounding: '0.01',
  weights: {
    context: '0',
    repetition: '0.1',
    exact: '0.1',
    '95-99': '0.3',
    '85-94': '0.4',
    '75-84': '0.6',
    '50-74': '0.8',
    new: '1',
  },
}

export interface RatesInHand {
  rates: Rates
  quote: QuoteSums
  bare: QuoteSums
  changed: boolean
  // The rush fee agreed with the client: it holds where a quote says so.
  agreedRush: string
  set: (field: keyof Rates, value: string) => string | undefined
  setWeight: (band: Band, percent: string) => string | undefined
  reset: () => void
}

const CHECKS: Partial<Record<keyof Rates, (value: string) => boolean>> = {
  currency: (value) => decimalsOf(value) !== undefined,
  rate: isAmount,
  minimum: (value) => value === '' || isAmount(value),
  rush: isAmount,
  rounding: isAmount,
  page_characters: (value) => isAmount(value) && Number(value) > 0,
  words_per_hour: (value) => isAmount(value) && Number(value) > 0,
}

// "12,5 %" → "0.125"; undefined where it is no share of a whole.
export function shareOf(percent: string): string | undefined {
  const plain = percent.replace(/[\s%]/g, '').replace(',', '.')
  if (!isAmount(plain)) return undefined
  return String(Number((Number(plain) / 100).toFixed(6)))
}

export const amountOf = (text: string) => text.replace(/\s/g, '').replace(',', '.')

export function useRates(report: Report, wordsPerHour: number): RatesInHand {
  const { t } = useTranslation()
  const own = useMemo<Rates>(
    () => ({ ...USUAL, words_per_hour: String(wordsPerHour), ...report.rates, rush: '0' }),
    [report.rates, wordsPerHour],
  )
  const [edited, setEdited] = useState<Partial<Rates>>({})
  const rates = useMemo(() => ({ ...own, ...edited }), [own, edited])
  const figures = report.figures!
  const quote = useMemo(() => quoteOf(figures.bands, rates), [figures, rates])
  const bare = useMemo(() => quoteOf(figures.bare, rates), [figures, rates])
  const set = (field: keyof Rates, value: string) => {
    if (CHECKS[field]?.(value) === false) return t(`quote.wrong.${field}`, { value })
    setEdited((before) => ({ ...before, [field]: value }))
    return undefined
  }
  const setWeight = (band: Band, percent: string) => {
    const share = shareOf(percent)
    if (share === undefined || !isWeight(share)) return t('quote.wrong.weight', { value: percent })
    setEdited((before) => ({ ...before, weights: { ...own.weights, ...before.weights, [band]: share } }))
    return undefined
  }
  return {
    rates,
    quote,
    bare,
    changed: Object.keys(edited).length > 0,
    agreedRush: report.rates?.rush || '0',
    set,
    setWeight,
    reset: () => setEdited({}),
  }
}

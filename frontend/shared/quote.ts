// What a count costs, as the core computes it (Glossema::Counting::Quote): decimal arithmetic, a half goes
// up. So that a change shows in the same frame; what is kept is computed by the core again.
import { Big } from 'big.js'
import { BANDS, type Band, type Bands, type QuoteLine, type QuoteSums, type Rates } from './types'

// Big’s own number for rounding a half up.
const HALF_UP = 1
const PLACES = 20
const PAGE = '1500'
const AMOUNT = /^\d{1,12}(?:\.\d{1,10})?$/
const WORDS_PER_HOUR = '350'

// How many decimals a currency has; undefined where there is no such currency.
export function decimalsOf(currency: string): number | undefined {
  try {
    if (!Intl.supportedValuesOf('currency').includes(currency)) return undefined
    const format = new Intl.NumberFormat('en', { style: 'currency', currency })
    return format.resolvedOptions().maximumFractionDigits
  } catch {
    return undefined
  }
}

export const isAmount = (text: string) => AMOUNT.test(text)
export const isWeight = (text: string) => isAmount(text) && new Big(text).lte(1)

const amount = (text: string | undefined, otherwise: string) => new Big(text?.length ? text : otherwise)
const exact = (number: Big) => (/\./.test(number.toFixed()) ? number.toFixed() : `${number.toFixed()}.0`)

function stepOf(rates: Rates, decimals: number): Big {
  const step = amount(rates.rounding, '0')
  return step.eq(0) ? new Big(10).pow(-decimals) : step
}

// The price of a line: its share of the whole, unrounded. Of a flat price the bands have none.
function priceOf(rates: Rates, weighted: Big, characters: Big): Big {
  const rate = amount(rates.rate, '0')
  if (rates.unit === 'flat') return new Big(0)
  if (rates.unit === 'hour') return weighted.times(rate).div(amount(rates.words_per_hour, WORDS_PER_HOUR))
  if (rates.unit === 'page') return characters.times(rate).div(amount(rates.page_characters, PAGE))
  return weighted.times(rate)
}

function lineOf(band: Band, bands: Bands, rates: Rates): QuoteLine {
  const { words = 0, characters = 0 } = bands[band] ?? {}
  const weight = amount(rates.weights?.[band], '1')
  const weighted = weight.times(words)
  return {
    band,
    words,
    weight: exact(weight),
    weighted: exact(weighted),
    price: exact(priceOf(rates, weighted, weight.times(characters))),
  }
}

const sum = (numbers: string[]) => numbers.reduce((all, one) => all.plus(one), new Big(0))

// rates: amounts that were looked at before (isAmount, isWeight, decimalsOf).
export function quoteOf(bands: Bands, rates: Rates): QuoteSums {
  Big.DP = PLACES
  const decimals = decimalsOf(rates.currency) ?? 2
  const step = stepOf(rates, decimals)
  const round = (number: Big) => number.div(step).round(0, HALF_UP).times(step)
  const lines = BANDS.map((band) => lineOf(band, bands, rates))
  const price = rates.unit === 'flat' ? amount(rates.rate, '0') : sum(lines.map((line) => line.price))
  const rounded = round(price)
  const minimum = amount(rates.minimum, '0')
  const net = rounded.lt(minimum) ? minimum : rounded
  const rush = round(net.times(amount(rates.rush, '0')))
  const money = (number: Big) => number.toFixed(decimals, HALF_UP)
  return {
    currency: rates.currency,
    weighted_words: exact(sum(lines.map((line) => line.weighted))),
    lines,
    net: money(net),
    rush: money(rush),
    total: money(net.plus(rush)),
  }
}

// What one amount is more than the other, with as many decimals.
export const less = (one: string, other: string) =>
  new Big(one).minus(other).toFixed(one.split('.')[1]?.length ?? 0)

// Currencies and units of rates, to choose from.
import { locale } from '../shared/i18n'
import type { Option } from '../shared/parts/ChoiceInPlace'
import type { RateUnit } from '../shared/types'

export const UNITS: RateUnit[] = ['word', 'hour', 'page', 'flat']

const names = new Intl.DisplayNames(locale, { type: 'currency' })
export const currencies: Option[] = Intl.supportedValuesOf('currency').map((code) => {
  const label = `${code} · ${names.of(code) ?? code}`
  return { value: code, label: code, search: label.toLowerCase() }
})

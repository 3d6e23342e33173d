// How numbers, dates, amounts and names of languages are written. What writes in one way is made once: making
// it takes longer than writing.

export function makeWriting(locale: string) {
  const numbers = new Intl.NumberFormat(locale)
  const names = new Intl.DisplayNames([locale], { type: 'language', languageDisplay: 'standard' })
  const dates = (options: Intl.DateTimeFormatOptions) => {
    const format = new Intl.DateTimeFormat(locale, options)
    return (iso: string) => format.format(new Date(iso))
  }
  // "Italian (Italy)" → "Italian, Italy".
  const languageName = (tag: string | null | undefined): string => {
    if (!tag) return ''
    try {
      return (names.of(tag) ?? tag).replace(/ \((.+)\)$/, ', $1')
    } catch {
      return tag
    }
  }
  // "193.20" → "€ 193.20".
  const money = (amount: string, currency: string): string => {
    const decimals = amount.split('.')[1]?.length ?? 0
    const format = new Intl.NumberFormat(locale, {
      style: 'currency',
      currency,
      currencyDisplay: 'narrowSymbol',
      minimumFractionDigits: decimals,
      maximumFractionDigits: decimals,
    })
    const text = format.format(amount as unknown as number)
    return text.replace(/^(\D+?)(?=\d)/, '$1\u202f')
  }
  return {
    number: (value: number) => numbers.format(value),
    time: dates({ hour: '2-digit', minute: '2-digit' }),
    weekday: dates({ weekday: 'long' }),
    shortDate: dates({ day: 'numeric', month: 'short' }),
    longDate: dates({ weekday: 'long', day: 'numeric', month: 'long' }),
    dayAndMonth: dates({ day: 'numeric', month: 'long' }),
    fullDate: dates({ day: 'numeric', month: 'short', year: 'numeric' }),
    languageName,
    money,
  }
}

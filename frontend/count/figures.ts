// Figures of a count as they are shown.
import { number, ours } from '../shared/i18n'
import type { Band, Bands } from '../shared/types'

export const { money } = ours

export const wordsOf = (bands: Bands, band: Band) => bands[band]?.words ?? 0

// "0.1" → "10 %"
export const percentOf = (share: string) => `${Number((Number(share) * 100).toFixed(4))} %`

export function signed(words: number) {
  if (words === 0) return '±0'
  return words > 0 ? `+${number(words)}` : `−${number(-words)}`
}

export function hoursText(hours: number): string {
  const minutes = Math.max(5, Math.round((hours * 60) / 5) * 5)
  const whole = Math.floor(minutes / 60)
  const rest = minutes % 60
  return [whole && `${whole} h`, rest && `${rest} min`].filter(Boolean).join(' ')
}

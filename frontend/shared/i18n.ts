// The catalogue of texts. A second language is one more file and one more line.
import i18next from 'i18next'
import { initReactI18next } from 'react-i18next'
import en from './texts/en.json'

void i18next.use(initReactI18next).init({
  resources: { en: { translation: en } },
  lng: 'en',
  fallbackLng: 'en',
  interpolation: { escapeValue: false },
})

export const locale = 'en-GB'
export const number = (value: number) => value.toLocaleString(locale)

export const now = () => new Date()
const DAY = 86_400_000
const midnight = (date: Date) => new Date(date.getFullYear(), date.getMonth(), date.getDate()).getTime()
export const daysUntil = (iso: string) => Math.round((midnight(new Date(iso)) - midnight(new Date())) / DAY)
export const time = (iso: string) =>
  new Date(iso).toLocaleTimeString(locale, { hour: '2-digit', minute: '2-digit' })
export const weekday = (iso: string) => new Date(iso).toLocaleDateString(locale, { weekday: 'long' })
export const shortDate = (iso: string) =>
  new Date(iso).toLocaleDateString(locale, { day: 'numeric', month: 'short' })
export const longDate = (iso: string) =>
  new Date(iso).toLocaleDateString(locale, { weekday: 'long', day: 'numeric', month: 'long' })
export const dayAndMonth = (iso: string) =>
  new Date(iso).toLocaleDateString(locale, { day: 'numeric', month: 'long' })
export const fullDate = (iso: string) =>
  new Date(iso).toLocaleDateString(locale, { day: 'numeric', month: 'short', year: 'numeric' })

// 1.5 → "about 1 ½ hours"; under an hour in minutes.
export function pace(hours: number): string {
  if (hours <= 0) return i18next.t('pace.none')
  if (hours < 0.9) return i18next.t('pace.minutes', { count: Math.max(5, Math.round((hours * 60) / 5) * 5) })
  const halves = Math.round(hours * 2)
  return i18next.t('pace.hours', {
    text: `${Math.floor(halves / 2) || ''}${halves % 2 ? ' ½' : ''}`.trim(),
    count: halves > 2 ? 2 : 1,
  })
}
export default i18next

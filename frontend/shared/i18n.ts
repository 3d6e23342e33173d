// The catalogues of texts, and how numbers and dates are written in the language of the page: that of
// whoever is signed in. A further language is one more file and one more line.
import dayjs from 'dayjs'
import 'dayjs/locale/it'
import i18next from 'i18next'
import { initReactI18next } from 'react-i18next'
import en from './texts/en.json'
import it from './texts/it.json'

export const LANGUAGES = { en: 'English', it: 'Italiano' } as const
export type Language = keyof typeof LANGUAGES
const LOCALES: Record<Language, string> = { en: 'en-GB', it: 'it-IT' }
const asked = document.documentElement.lang
export const language: Language = asked in LANGUAGES ? (asked as Language) : 'en'
export const locale = LOCALES[language]

// Dates as they are typed.
dayjs.locale(language)

void i18next.use(initReactI18next).init({
  resources: { en: { translation: en }, it: { translation: it } },
  lng: language,
  fallbackLng: 'en',
  interpolation: { escapeValue: false },
})

const numbers = new Intl.NumberFormat(locale)
export const number = (value: number) => numbers.format(value)

export const now = () => new Date()
const DAY = 86_400_000
const midnight = (date: Date) => new Date(date.getFullYear(), date.getMonth(), date.getDate()).getTime()
export const daysUntil = (iso: string) => Math.round((midnight(new Date(iso)) - midnight(new Date())) / DAY)
// What writes dates in one way is made once: making it takes longer than writing.
const dates = (options: Intl.DateTimeFormatOptions) => {
  const format = new Intl.DateTimeFormat(locale, options)
  return (iso: string) => format.format(new Date(iso))
}
export const time = dates({ hour: '2-digit', minute: '2-digit' })
export const weekday = dates({ weekday: 'long' })
export const shortDate = dates({ day: 'numeric', month: 'short' })
export const longDate = dates({ weekday: 'long', day: 'numeric', month: 'long' })
export const dayAndMonth = dates({ day: 'numeric', month: 'long' })
export const fullDate = dates({ day: 'numeric', month: 'short', year: 'numeric' })

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

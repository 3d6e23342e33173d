// The catalogues of texts, and how numbers and dates are written in the language of the page: that of
// whoever is signed in. A further language is one more file and one more line.
import dayjs from 'dayjs'
import 'dayjs/locale/it'
import i18next from 'i18next'
import { initReactI18next } from 'react-i18next'
import en from './texts/en.json'
import it from './texts/it.json'
import de from './texts/letters/de.json'
import es from './texts/letters/es.json'
import fr from './texts/letters/fr.json'
import nl from './texts/letters/nl.json'
import { makeWriting } from './writing'

export const LANGUAGES = { en: 'English', it: 'Italiano' } as const
export type Language = keyof typeof LANGUAGES
export const LANGUAGE_OPTIONS = (Object.keys(LANGUAGES) as Language[]).map((value) => ({
  value,
  label: LANGUAGES[value],
}))
// Letters to clients can be in more.
export const LETTER_LANGUAGES = {
  ...LANGUAGES,
  de: 'Deutsch',
  es: 'Español',
  fr: 'Français',
  nl: 'Nederlands',
} as const
export type LetterLanguage = keyof typeof LETTER_LANGUAGES
export const LETTER_OPTIONS = (Object.keys(LETTER_LANGUAGES) as LetterLanguage[]).map((value) => ({
  value,
  label: LETTER_LANGUAGES[value],
}))
const LOCALES: Record<LetterLanguage, string> = {
  en: 'en-GB',
  it: 'it-IT',
  de: 'de-DE',
  es: 'es-ES',
  fr: 'fr-FR',
  nl: 'nl-NL',
}
const asked = document.documentElement.lang
export const language: Language = asked in LANGUAGES ? (asked as Language) : 'en'
export const locale = LOCALES[language]

// Dates as they are typed.
dayjs.locale(language)

void i18next.use(initReactI18next).init({
  resources: {
    en: { translation: en },
    it: { translation: it },
    de: { translation: de },
    es: { translation: es },
    fr: { translation: fr },
    nl: { translation: nl },
  },
  lng: language,
  fallbackLng: 'en',
  interpolation: { escapeValue: false },
})

const writings = new Map<LetterLanguage, ReturnType<typeof makeWriting>>()
export function writingIn(spoken: LetterLanguage) {
  const made = writings.get(spoken) ?? makeWriting(LOCALES[spoken])
  writings.set(spoken, made)
  return made
}
export const ours = writingIn(language)
export const { number, time, weekday, shortDate, longDate, dayAndMonth, fullDate } = ours

export const now = () => new Date()
const DAY = 86_400_000
const midnight = (date: Date) => new Date(date.getFullYear(), date.getMonth(), date.getDate()).getTime()
export const daysUntil = (iso: string) => Math.round((midnight(new Date(iso)) - midnight(new Date())) / DAY)

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

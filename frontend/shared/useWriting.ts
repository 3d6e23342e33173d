// How numbers, dates and names of languages are written in the language of the texts around: that of the
// page, or that of a letter.
import { useTranslation } from 'react-i18next'
import { writingIn, type LetterLanguage } from './i18n'

export const useWriting = () => writingIn(useTranslation().i18n.language as LetterLanguage)

// What stands in it is in another language than the page: texts, numbers and dates, see useWriting.
import i18next from 'i18next'
import { useMemo, type ReactNode } from 'react'
import { I18nextProvider } from 'react-i18next'
import type { LetterLanguage } from './i18n'

export function Speaking({ language, children }: { language: LetterLanguage; children: ReactNode }) {
  const spoken = useMemo(() => i18next.cloneInstance({ lng: language }), [language])
  return <I18nextProvider i18n={spoken}>{children}</I18nextProvider>
}

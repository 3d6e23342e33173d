// The language that a quote is read in: its client's, or another.
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { LETTER_LANGUAGES, LETTER_OPTIONS, type LetterLanguage as Spoken } from '../shared/i18n'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import { keys } from '../shared/queryKeys'
import type { QuotePage } from '../shared/types'
import { useAct } from '../shared/useAct'
import { setQuoteLanguage } from './queries'

export function LetterLanguage({ quote }: { quote: QuotePage }) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act } = useAct()
  const choose = (language: string) =>
    void act(async () => {
      await setQuoteLanguage(quote.id, language as Spoken)
      await cache.invalidateQueries({ queryKey: keys.quote(quote.id) })
    })
  return (
    <span>
      <span className="quiet">{t('quote.language')}</span>{' '}
      <MenuInPlace
        title={t('quote.language')}
        label={LETTER_LANGUAGES[quote.letter.language]}
        value={quote.letter.language}
        options={LETTER_OPTIONS}
        onChange={choose}
      />
    </span>
  )
}

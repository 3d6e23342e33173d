// What is surely wrong with a text that is confirmed, in a sentence; it stops nothing.
import { useTranslation } from 'react-i18next'
import { missingCodes } from '../../shared/balance'
import type { Carry, Segment } from '../../shared/types'

export function useWarning(
  segment: Segment,
  missingIn: (value: string) => Carry[],
  say: (text: string) => void,
) {
  const { t } = useTranslation()
  return (value: string) => {
    const codes = missingCodes(segment.source, value)
    const figures = missingIn(value).filter((one) => !one.may_be_word)
    const list = figures.map(({ source }) => source).join(', ')
    if (codes.length) say(t('translate.lost', { number: segment.position, codes: codes.join(' ') }))
    else if (list) say(t('translate.leftOut', { number: segment.position, list }))
  }
}

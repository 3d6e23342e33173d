// What was not as it went out, in a sentence each.
import { useTranslation } from 'react-i18next'
import type { Strange } from '../shared/types'

export function StrangeThings({ strange }: { strange: Strange }) {
  const { t } = useTranslation()
  const { added, doubled, gone, foreign, moved = [] } = strange
  const said = [
    gone.length && t('review.strange.gone', { count: gone.length, list: gone.join(', ') }),
    doubled.length && t('review.strange.doubled', { count: doubled.length, list: doubled.join(', ') }),
    added.length && t('review.strange.added', { count: added.length, list: added.join(' · ') }),
    moved.length &&
      t('review.strange.moved', {
        count: moved.length,
        list: moved.map(([number, text]) => `${number ?? '?'} “${text}”`).join(' · '),
      }),
    foreign && t('review.strange.foreign', { count: foreign }),
  ].filter(Boolean)
  if (!said.length) return null
  return (
    <ul className="strange" role="alert">
      {said.map((sentence) => (
        <li key={String(sentence)}>{sentence}</li>
      ))}
    </ul>
  )
}

// The rest of a sentence that begins before the open cue or goes on after it.
import { useContext } from 'react'
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import type { Store } from '../store'
import { TimedContext } from './useTimed'

interface Props {
  segment: number
  store: Store
}

export function Sentence({ segment, store }: Props) {
  const { t } = useTranslation()
  const timed = useContext(TimedContext)
  const group = timed?.page.sentences.find((ids) => ids.includes(segment)) ?? []
  const at = group.indexOf(segment)
  const [before, after] = [group.slice(0, Math.max(at, 0)), group.slice(at + 1)].map((ids) =>
    ids.flatMap((id) => store.byId.get(id) ?? []),
  )
  const text = (list: typeof before) =>
    list.map(({ source, codes }) => plain(source, codes).replace(/\s+/g, ' ')).join(' ')
  if (!group.length) return null
  return (
    <p className="cue-sentence small quiet">
      {before.length > 0 && (
        <>
          {t('timed.beganIn', { number: before[0].position })} <span>{text(before)}</span>{' '}
        </>
      )}
      {after.length > 0 && (
        <>
          {t('timed.goesOnIn', { number: after[0].position })} <span>{text(after)}</span>
        </>
      )}
    </p>
  )
}

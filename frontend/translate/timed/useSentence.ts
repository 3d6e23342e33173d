// The sentence that a cue is part of: what the memories hold of all of it, and its translation divided over its
// cues as one doing.
import { useQuery } from '@tanstack/react-query'
import { useContext } from 'react'
import { useTranslation } from 'react-i18next'
import type { Origin, Proposal, Segment } from '../../shared/types'
import type { Store } from '../store'
import { divide, sentenceQuery } from './queries'
import { TimedContext } from './useTimed'

const NONE: Proposal[] = []

interface Parts {
  segment: Segment
  store: Store
  // Puts a wording into the open card.
  put: (value: string, origin: Origin) => void
  say: (text: string) => void
}

export function useSentence({ segment, store, put, say }: Parts) {
  const { t } = useTranslation()
  const timed = useContext(TimedContext)
  const group = timed?.page.sentences.find((ids) => ids.includes(segment.id)) ?? null
  const { data } = useQuery({ ...sentenceQuery(segment.id), enabled: group !== null })
  const putDivided = async (text: string, origin: Origin) => {
    if (!group) return say(t('timed.noSentence'))
    if (!text.trim()) return undefined
    const parts = await divide(segment.id, text)
    store.undoHistory.together(() =>
      parts.forEach(({ segment_id: id, target }) => {
        if (id === segment.id) put(target, origin)
        else store.draft(id, target, origin)
      }),
    )
    return say(t('timed.divided', { count: parts.length }))
  }
  return { proposals: data?.proposals ?? NONE, putDivided }
}

// Among the others by their scores; what has none stays behind.
export const withSentence = (proposals: Proposal[], whole: Proposal[]) =>
  whole.length
    ? [...proposals, ...whole].toSorted((one, other) => (other.score ?? -1) - (one.score ?? -1))
    : proposals

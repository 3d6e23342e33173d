// Completion for the open segment: what is known of it is fetched ahead, and worked out here at each key.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useMemo, useRef, type RefObject } from 'react'
import { useTranslation } from 'react-i18next'
import { useSettings } from '../../shared/settings'
import type { CompletionSource } from '../../shared/shapes'
import type { Segment } from '../../shared/types'
import { written } from '../../shared/content'
import { keys } from '../../shared/queryKeys'
import { Ahead, type Offer } from '../completion/ahead'
import { nextCode } from '../completion/codes'
import type { Completing } from '../editor/completing'
import type { TargetHandle } from '../editor/targetHandle'
import { contextQuery } from '../queries'

// In a list by itself from so many letters of a word on.
const LETTERS = 2
const NONE: CompletionSource[] = []

export function useCompletion(
  segment: Segment,
  target: RefObject<TargetHandle | null>,
  say: (text: string) => void,
  machine: string | null,
) {
  const { t } = useTranslation()
  const { completion = 'first', completion_without = NONE } = useSettings().user.preferences
  const { data } = useQuery({ ...contextQuery(segment.id), enabled: completion !== 'off' })
  const ahead = useMemo(() => (data ? new Ahead(data) : null), [data])
  useKnowsMachine(segment.id, machine, data?.machine)
  const latest = useRef({ ahead, completion, without: completion_without })
  useEffect(() => {
    latest.current = { ahead, completion, without: completion_without }
    target.current?.completeAgain()
  }, [ahead, completion, completion_without, target])
  const { source, codes } = segment
  const completing = useMemo<Completing>(
    () => ({
      offers: (prefix, text) => {
        const { ahead: known, without } = latest.current
        const code = without.includes('codes') ? null : nextCode(source, text)
        return withCode(known?.offers(prefix) ?? [], code)
      },
      codes,
      listsAfter: () => (latest.current.completion === 'list' ? LETTERS : null),
      shows: () => latest.current.completion !== 'off',
    }),
    [codes, source],
  )
  const open = () => {
    if (!target.current?.openOffers())
      say(t(completion === 'off' ? 'completion.isOff' : 'completion.nothing'))
  }
  return { completing, open }
}

// A code stands among the offers by how likely it is.
function withCode(offers: Offer[], code: ReturnType<typeof nextCode>): Offer[] {
  if (!code) return offers
  const [part, likely] = code
  const place = offers.findIndex((offer) => offer.likely < likely)
  return offers.toSpliced(place < 0 ? offers.length : place, 0, { text: written(part), kind: 'code', likely })
}

// What the machine gives may come after what is known without it: then it is asked for anew.
function useKnowsMachine(segment: number, given: string | null, known: boolean | undefined) {
  const cache = useQueryClient()
  useEffect(() => {
    if (given && known === false) void cache.invalidateQueries({ queryKey: keys.context(segment) })
  }, [cache, segment, given, known])
}

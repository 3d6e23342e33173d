// All that Translate knows while a text is read and written: what is shown, which segment is open, what keys do.
import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react'
import type { Project } from '../shared/types'
import type { Act } from '../shared/useAct'
import type { CardHandle } from './card/cardHandle'
import { useCompanion } from './companion/useCompanion'
import { useMarks } from './marks'
import { useNotedSegments } from './noted'
import type { Listing } from './queries'
import { isUnfinished, type Store } from './store'
import { useActions } from './useActions'
import { useCuts } from './useCuts'
import { useUndoHistory } from './useUndoHistory'
import { useNavigation } from './useNavigation'
import { useOpen } from './useOpen'
import { usePresence } from './usePresence'
import { useProgress } from './useProgress'
import { useShown } from './useShown'
import { useTextKeys } from './useTextKeys'
import { useFilmActions } from './timed/useFilmActions'
import { useFollowing, useTimed } from './timed/useTimed'

export interface ReadingParts {
  project: Project
  listing: Listing
  store: Store
  say: (text: string) => void
  hash: string
}

export function useReading({ project, listing, store, say, hash, act }: ReadingParts & { act: Act }) {
  const revision = useSyncExternalStore(store.subscribe, store.snapshot)
  const card = useRef<CardHandle>(null)
  const scroll = useRef<HTMLDivElement>(null)
  const noted = useNotedSegments(project.id)
  const marks = useMarks(project.id, store.inked)
  const shown = useShown(store, revision, { noted, marks })
  const opening = useOpen(scroll, shown.order, shown.segments)
  const { open, rows } = opening
  const { nextUnfinished, nextMarked, goTo } = useNavigation({ project, store, shown, opening, hash, say })
  const cuts = useCuts(project.id, store, open, act, say)
  const companion = useCompanion(card)
  const undoHistory = useUndoHistory({ card, store, open, goTo, act, say })
  const [done, setDone] = useState(false)
  const showDone = useCallback(() => setDone(true), [])
  const numbered = useMemo(
    () => ({
      proposal: (number: number) => card.current?.take(number),
      term: (number: number) => card.current?.putTerm(number),
      termbase: (number: number) => card.current?.addTerm(number),
    }),
    [],
  )
  const actions = useActions({
    card,
    scroll,
    store,
    opening,
    cuts,
    act,
    say,
    nextUnfinished,
    companion,
    nextMarked,
    undoHistory,
    showDone,
  })
  const segment = open === null ? null : (store.byId.get(open) ?? null)
  const firstShown = shown.segments[rows.range?.startIndex ?? 0]
  const timed = useTimed(project.id, segment ?? firstShown)
  useFollowing(timed, open)
  const { begin } = companion
  useEffect(() => {
    if (timed) begin('film')
  }, [begin, timed])
  const filmActions = useFilmActions({ timed, companion, card, store, open })
  const allActions = useMemo(() => ({ ...actions, ...filmActions }), [actions, filmActions])
  useTextKeys(allActions, numbered)

  const files = useMemo(() => namesOf(listing), [listing])
  const others = usePresence(project.id, open)
  const progress = useProgress(project, store)
  const wordsLeft = useMemo(
    () => shown.segments.reduce((sum, one) => sum + (isUnfinished(one) ? one.words : 0), 0),
    // It changes only where a state does.
    // oxlint-disable-next-line react/exhaustive-deps
    [shown.order, store.inked],
  )
  const current = segment?.document_id ?? firstShown?.document_id ?? listing.documents[0]?.id
  const seen = { timed, wordsLeft, segment, current, files, progress, noted, others, marks }
  const moving = { opening, goTo, nextUnfinished }
  return {
    ...seen,
    ...moving,
    revision,
    card,
    scroll,
    shown,
    cuts,
    companion,
    undoHistory,
    done,
    setDone,
    actions,
  }
}

// Names of the files where there are several.
const namesOf = ({ documents }: Listing) =>
  new Map(documents.length > 1 ? documents.map(({ id, name }) => [id, name] as const) : [])

// What keys and presses in the text ask of the companion: a view, and what it is to show there.
import { useCallback, useState, type RefObject } from 'react'
import type { CardHandle } from '../card/cardHandle'
import type { Chosen } from '../card/chosenText'
import { useFolded } from './useFolded'

export const VIEWS = ['film', 'page', 'search', 'terms', 'findings', 'past', 'notes', 'reference'] as const
export type View = (typeof VIEWS)[number]

// turn counts the asking, so that the same can be asked for again.
export interface Asked {
  view: View
  turn: number
  // Words to look up.
  words: Chosen
  // An entry, or the first of the segment.
  entry: number | null
}
const NOTHING: Asked = { view: 'page', turn: 0, words: { text: '', side: 'source' }, entry: null }

export function useCompanion(card: RefObject<CardHandle | null>) {
  const { folded, setFolded, fold } = useFolded()
  const [apart, setApart] = useState(false)
  const [asked, setAsked] = useState(NOTHING)
  const ask = useCallback(
    (fields: Partial<Asked> & { view: View }) => {
      if (!apart) setFolded(false)
      setAsked((now) => ({ ...now, ...fields, turn: now.turn + 1 }))
    },
    [apart, setFolded],
  )
  const lookUp = useCallback(
    () => ask({ view: 'search', words: card.current?.selected() ?? NOTHING.words }),
    [ask, card],
  )
  const showEntry = useCallback(
    (entry = card.current?.firstEntry() ?? null) => ask({ view: 'terms', entry }),
    [ask, card],
  )
  const writeNote = useCallback(() => ask({ view: 'notes' }), [ask])
  const showFilm = useCallback(() => ask({ view: 'film' }), [ask])
  // Where nothing was asked for yet, and without bringing the companion back.
  const begin = useCallback(
    (view: View) => setAsked((now) => (now.turn ? now : { ...now, view, turn: 1 })),
    [],
  )
  const showPast = useCallback(() => ask({ view: 'past' }), [ask])
  const showApart = useCallback(() => setApart((now) => !now), [])
  const together = useCallback(() => setApart(false), [])
  const back = useCallback(() => card.current?.focus(), [card])
  return {
    folded,
    setFolded,
    fold,
    apart,
    showApart,
    together,
    asked,
    lookUp,
    showEntry,
    writeNote,
    showPast,
    showFilm,
    begin,
    back,
  }
}

export type Beside = ReturnType<typeof useCompanion>

// The commands of a film and of cues, usable while typing.
import { useMemo, type RefObject } from 'react'
import type { CardHandle } from '../card/cardHandle'
import type { Beside } from '../companion/useCompanion'
import type { Actions } from '../useTextKeys'
import type { Store } from '../store'
import type { Timed } from './useTimed'
import { useTimes } from './useTimes'

const NONE: Actions = {}

interface Parts {
  timed: Timed | null
  companion: Beside
  card: RefObject<CardHandle | null>
  store: Store
  open: number | null
}

export function useFilmActions({ timed, companion, card, store, open }: Parts): Actions {
  const { showFilm } = companion
  const player = timed?.player
  const change = useTimes(store, timed?.document)
  return useMemo(() => {
    if (!player) return NONE
    // The film comes into sight with the first key that needs it.
    const film = (work: () => void) => () => {
      if (!player.isThere) showFilm()
      work()
    }
    // The film is where the open cue is to begin or to end.
    const here = (side: 'start' | 'finish') => () => {
      if (open === null || timed?.page.fixed) return
      const time = player.time().toFixed(3)
      change(open, side === 'start' ? { start: time } : { finish: time })
    }
    return {
      beginsHere: here('start'),
      endsHere: here('finish'),
      filmPlay: film(() => player.toggle()),
      filmCue: film(() => player.playCue('once')),
      filmAgain: film(() => player.playCue('again')),
      filmBack: film(() => player.back()),
      frameBack: film(() => player.frame(-1)),
      frameOn: film(() => player.frame(1)),
      slower: film(() => player.faster(-1)),
      faster: film(() => player.faster(1)),
      breakLines: () => card.current?.breakLines('best'),
      divide: () => card.current?.divide(),
      walkBreaks: () => card.current?.breakLines('next'),
    }
  }, [card, change, open, player, showFilm, timed])
}

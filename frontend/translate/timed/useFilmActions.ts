// The commands of a film and of cues, usable while typing.
import { useMemo, type RefObject } from 'react'
import type { CardHandle } from '../card/cardHandle'
import type { Beside } from '../companion/useCompanion'
import type { Actions } from '../useTextKeys'
import type { Timed } from './useTimed'

const NONE: Actions = {}

export function useFilmActions(
  timed: Timed | null,
  companion: Beside,
  card: RefObject<CardHandle | null>,
): Actions {
  const { showFilm } = companion
  const player = timed?.player
  return useMemo(() => {
    if (!player) return NONE
    // The film comes into sight with the first key that needs it.
    const film = (work: () => void) => () => {
      if (!player.isThere) showFilm()
      work()
    }
    return {
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
  }, [card, player, showFilm])
}

// Where the film is, in seconds; what asks is drawn at each of its frames.
import { useSyncExternalStore } from 'react'
import type { FilmPlayer } from './player'

export const useFilmTime = (player: FilmPlayer) => useSyncExternalStore(player.listen, player.time)

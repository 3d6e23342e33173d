// The time of the film, at each frame.
import { short } from './clock'
import type { FilmPlayer } from './player'
import { useFilmTime } from './useFilmTime'

export const FilmTime = ({ player }: { player: FilmPlayer }) => (
  <span className="tab film-time">{short(useFilmTime(player))}</span>
)

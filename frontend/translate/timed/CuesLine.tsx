// A short line of the cues around the open one, with the film's place on it.
import { useTranslation } from 'react-i18next'
import { number } from '../../shared/i18n'
import type { Segment } from '../../shared/types'
import type { FilmPlayer } from './player'
import { filmAddress } from './queries'
import { useFilmTime } from './useFilmTime'
import type { Timed } from './useTimed'
import { Wave } from './Wave'
import { useWave } from './wave'

interface Props {
  timed: Timed
  open: Segment | null
  onOpen: (id: number) => void
}
// So many seconds are in sight.
const SPAN = 14

export function CuesLine({ timed, open, onOpen }: Props) {
  const { t } = useTranslation()
  const { cues, limits } = timed.page
  const at = open ? timed.indexOf(open.id) : -1
  const middle = at < 0 ? SPAN / 2 : (cues[at].start + (cues[at].finish ?? cues[at].start)) / 2
  const from = middle - SPAN / 2
  const place = (time: number) => ((time - from) / SPAN) * 100
  const around = cues.filter(({ start, finish }) => start < from + SPAN && (finish ?? start + 1) > from)
  const { film } = timed.page
  const peaks = useWave(film && filmAddress(timed.document, film), film?.byte_size ?? 0)
  const next = at < 0 ? undefined : cues[at + 1]
  const gap = next && cues[at].finish !== null ? next.start - cues[at].finish : null
  return (
    <>
      <div className={peaks ? 'cues-line sounding' : 'cues-line'} role="group" aria-label={t('timed.around')}>
        {around.map(({ segment_id, number: position, start, finish }) => (
          <button
            key={segment_id}
            type="button"
            aria-label={t('timed.openCue', { number: position })}
            aria-current={segment_id === open?.id}
            style={{ left: `${place(start)}%`, width: `${((finish ?? start + 1) - start) * (100 / SPAN)}%` }}
            onClick={() => onOpen(segment_id)}
          >
            {position}
          </button>
        ))}
        {peaks && <Wave peaks={peaks} from={from} span={SPAN} />}
        <Playhead player={timed.player} place={place} />
      </div>
      {gap !== null && (
        <p className="small quiet">
          {t(gap < 0 ? 'timed.overlapBefore' : 'timed.gapBefore', {
            number: next!.number,
            text: number(Math.round(Math.abs(gap) * 1000) / 1000),
            frames: number(Math.round(Math.abs(gap) * limits.rate)),
          })}
        </p>
      )}
    </>
  )
}

function Playhead({ player, place }: { player: FilmPlayer; place: (time: number) => number }) {
  const left = place(useFilmTime(player))
  return left < 0 || left > 100 ? null : <i className="playhead" style={{ left: `${left}%` }} />
}

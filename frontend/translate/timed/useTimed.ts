// Subtitles in Translate: the cues of the file that is read, its film, and which cue is open.
import { createContext, useContext, useEffect, useMemo, useState } from 'react'
import type { Segment } from '../../shared/types'
import { FilmPlayer } from './player'
import { useCues, type Cue, type CuesPage } from './queries'

export interface Timed {
  document: number
  page: CuesPage
  player: FilmPlayer
  // Where the cue of a segment stands among all, or -1.
  indexOf: (segment: number) => number
}
export const TimedContext = createContext<Timed | null>(null)

export function useTimed(project: number, segment: Segment | undefined): Timed | null {
  const document = segment?.block === 'cue' ? segment.document_id : null
  const { data: page } = useCues(project, document)
  const [player] = useState(() => new FilmPlayer())
  const places = useMemo(
    () => new Map(page?.cues.map(({ segment_id }, index) => [segment_id, index] as const)),
    [page],
  )
  useEffect(() => {
    if (page) player.setRate(page.limits.rate)
  }, [page, player])
  return useMemo(
    () =>
      document !== null && page
        ? { document, page, player, indexOf: (id: number) => places.get(id) ?? -1 }
        : null,
    [document, page, places, player],
  )
}

// The film follows when another cue is opened.
export function useFollowing(timed: Timed | null, open: number | null) {
  useEffect(() => {
    if (!timed) return
    const index = open === null ? -1 : timed.indexOf(open)
    timed.player.open(index < 0 ? null : timed.page.cues[index])
  }, [open, timed])
}

export interface CueAt {
  cue: Cue
  index: number
  next: Cue | undefined
  timed: Timed
}
// The cue of a segment, or null where it is none.
export function useCue(segment: number): CueAt | null {
  const timed = useContext(TimedContext)
  const index = timed?.indexOf(segment) ?? -1
  if (!timed || index < 0) return null
  return { cue: timed.page.cues[index], index, next: timed.page.cues[index + 1], timed }
}

// The cue that is shown at a time, the later one where two overlap.
export const cueAt = (cues: Cue[], time: number) =>
  cues.findLast(({ start, finish }) => start <= time && (finish === null || time < finish))

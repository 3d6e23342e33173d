// What an untouched segment begins with when it is opened, by setting: nothing, the source, the best match
// above a score, or below it the machine translation. Once for each opening, and never over typed text.
import { useEffect, useRef, type RefObject } from 'react'
import { useSettings } from '../../shared/settings'
import type { OnOpen } from '../../shared/shapes'
import type { Origin, Proposal, Segment } from '../../shared/types'
import type { TargetHandle } from '../editor/targetHandle'
import { originOf } from './useTaking'

const USUAL_SCORE = 85

interface Parts {
  segment: Segment
  // Set for the client, or null.
  ofClient: OnOpen | null
  target: RefObject<TargetHandle | null>
  // Those of the memories, and whether they are there yet; the machine's, if it answered.
  matches: Proposal[]
  searched: boolean
  machine: Proposal | null
  put: (value: string, origin: Origin) => void
}

export function useOnOpening({ segment, ofClient, target, matches, searched, machine, put }: Parts) {
  const { on_open: own = 'nothing', on_open_from: from = USUAL_SCORE } = useSettings().user.preferences
  const way = ofClient ?? own
  const done = useRef(segment.state !== 'untouched' || segment.target !== '')
  useEffect(() => {
    if (done.current || way === 'nothing') return
    const take = (value: string, origin: Origin) => {
      done.current = true
      if (target.current?.value() === '') put(value, origin)
    }
    if (way === 'source') return take(segment.source, { kind: 'source' })
    if (!searched) return
    const best = matches.find((match) => (match.score ?? 0) >= from)
    if (best) return take(best.target, originOf(best))
    if (way === 'machine' && machine) take(machine.target, originOf(machine))
  }, [from, machine, matches, put, searched, segment.source, target, way])
}

// What machines give for the open segment: asked for by themselves, so that a slow service holds up nothing,
// and put where they belong by how much of them has to be changed.
import { useQuery } from '@tanstack/react-query'
import type { Proposal, Segment } from '../../shared/types'
import { machineQuery } from '../queries'
import { byEdits } from './byEdits'

const NONE: Proposal[] = []

export function useMachine(segment: Segment, proposals: Proposal[]) {
  const { data, error, isFetching } = useQuery(machineQuery(segment.id))
  const given = data?.proposal ?? null
  return {
    given,
    proposals: byEdits(proposals, given ? [given, ...(data?.more ?? NONE)] : NONE),
    trouble: error ? (error as Error).message : null,
    asking: isFetching,
  }
}

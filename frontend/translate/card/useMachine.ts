// What the machine gives for the open segment: asked for by itself, so that a slow service holds up nothing,
// and added below the matches.
import { useQuery } from '@tanstack/react-query'
import type { Proposal, Segment } from '../../shared/types'
import { machineQuery } from '../queries'

export function useMachine(segment: Segment, proposals: Proposal[]) {
  const { data, error, isFetching } = useQuery(machineQuery(segment.id))
  const given = data?.proposal
  return {
    given: given ?? null,
    proposals: given ? [...proposals, given] : proposals,
    trouble: error ? (error as Error).message : null,
    asking: isFetching,
  }
}

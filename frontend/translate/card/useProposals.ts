// All that is offered for the open segment: matches, below them what the machine gives; and what an untouched
// one begins with.
import { useQuery } from '@tanstack/react-query'
import type { RefObject } from 'react'
import type { Origin, Project, Proposal, Segment } from '../../shared/types'
import type { TargetHandle } from '../editor/targetHandle'
import { useRemoteProposals } from '../remoteProposals'
import { proposalsQuery } from '../queries'
import { useMachine } from './useMachine'
import { useOnOpening } from './useOnOpening'

const NONE: Proposal[] = []
type Put = (value: string, origin: Origin) => void

interface Parts {
  segment: Segment
  project: Project
  target: RefObject<TargetHandle | null>
  put: Put
}

export function useProposals({ segment, project, target, put }: Parts) {
  const { data, isFetching } = useQuery(proposalsQuery(segment.id))
  const matches = data?.proposals ?? NONE
  const elsewhere = useRemoteProposals(segment.id)
  const { proposals, given, trouble, asking } = useMachine(segment, matches)
  useOnOpening({ segment, ofClient: project.on_open, target, matches, searched: !!data, machine: given, put })
  return { proposals, given: given?.target ?? null, trouble, elsewhere, searching: isFetching || asking }
}

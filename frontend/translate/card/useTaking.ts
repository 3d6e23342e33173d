// The proposal that is chosen, and proposals put into the target.
import { useState } from 'react'
import type { Origin, Proposal, Segment } from '../../shared/types'

type Put = (value: string, origin: Origin) => void

export function useTaking(segment: Segment, proposals: Proposal[], put: Put) {
  const [chosen, setChosen] = useState(0)
  // number: of a proposal, 0 for the source; without one the chosen proposal is taken.
  const take = (number = Math.min(chosen, proposals.length - 1) + 1) => {
    const proposal = proposals[number - 1]
    if (number === 0) return put(segment.source, { kind: 'source' })
    if (!proposal) return
    setChosen(number - 1)
    put(proposal.target, originOf(proposal))
  }
  const choose = (step: number) => setChosen((at) => Math.max(0, Math.min(proposals.length - 1, at + step)))
  return { chosen, take, choose }
}

const originOf = ({ kind, score, memory, unit }: Proposal): Origin =>
  kind === 'file' || kind === 'earlier' ? { kind, score } : { kind: 'memory', score, memory, unit }

// The proposal that is chosen, and proposals put into the target.
import { useState, type RefObject } from 'react'
import type { Origin, Proposal, Segment } from '../../shared/types'

import type { TargetHandle } from '../editor/targetHandle'

type Put = (value: string, origin: Origin) => void

interface Parts {
  segment: Segment
  proposals: Proposal[]
  put: Put
  // Of a whole sentence: divided over its cues.
  putDivided: Put
  target: RefObject<TargetHandle | null>
}

export function useTaking({ segment, proposals, put, putDivided, target }: Parts) {
  const [chosen, setChosen] = useState(0)
  // number: of a proposal, 0 for the source; without one the chosen proposal is taken.
  const take = (number = Math.min(chosen, proposals.length - 1) + 1) => {
    const proposal = proposals[number - 1]
    if (number === 0) return put(segment.source, { kind: 'source' })
    if (!proposal) return
    setChosen(number - 1)
    const putIt = proposal.sentence ? putDivided : put
    putIt(proposal.target, originOf(proposal))
  }
  const choose = (step: number) => setChosen((at) => Math.max(0, Math.min(proposals.length - 1, at + step)))
  const takeWords = () => {
    const words = markedWords()
    if (words) return target.current?.insert(words)
    const proposal = proposals[Math.min(chosen, proposals.length - 1)]
    if (proposal) target.current?.insertWritten(proposal.target)
  }
  return { chosen, take, choose, takeWords }
}

export const originOf = ({ kind, score, memory, unit }: Proposal): Origin => {
  if (kind === 'machine' || kind === 'assembled') return { kind }
  const given = { score: score ?? undefined }
  return kind === 'file' || kind === 'earlier'
    ? { kind, ...given }
    : { kind: 'memory', ...given, match: kind, memory, unit }
}

// What is marked in a proposal with the mouse.
export function markedWords(): string {
  const selection = window.getSelection()
  const anchor = selection?.anchorNode
  const element = anchor instanceof Element ? anchor : anchor?.parentElement
  return element?.closest('.proposals .text') ? (selection?.toString().trim() ?? '') : ''
}

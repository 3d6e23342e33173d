// Proposals of machines among those of memories: each stands before the first that needs more changes. What
// the memories give keeps its order.
import type { Proposal } from '../../shared/types'

const editsOf = ({ edits }: Proposal) => edits ?? 0

export function byEdits(matches: Proposal[], machines: Proposal[]): Proposal[] {
  return machines.reduce((list, machine) => {
    const place = list.findIndex((other) => other.kind !== 'machine' && editsOf(other) > editsOf(machine))
    return list.toSpliced(place < 0 ? list.length : place, 0, machine)
  }, matches)
}

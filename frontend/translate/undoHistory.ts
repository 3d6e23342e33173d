// What the user did in the text since it was opened: what was written, each with what stood there before, and
// how segments were cut; so that it can be undone and redone, also when the user is elsewhere by now.
import type { Origin, Segment, State } from '../shared/types'

export interface Standing {
  target: string
  origin: Origin
  state: State
}
interface OfSegment {
  id: number
  number: number
  // Those of one number are one act.
  act: number
}
export interface Written extends OfSegment {
  before: Standing
  after: Standing
  // How many identical segments took it.
  filled: number
}
// A split, a join, a change of times: an operation on the server.
export interface Recut extends OfSegment {
  document: number
  operation: number
}
export type Doing = Written | Recut

// More than this is a matter of each segment's past.
const KEPT = 500
const standing = ({ target, origin, state }: Segment): Standing => ({ target, origin, state })
const same = (one: Standing, other: Standing) => one.target === other.target && one.state === other.state
export const isWritten = (doing: Doing): doing is Written => 'before' in doing

export class UndoHistory {
  private done: Doing[] = []
  private undone: Doing[] = []
  // While something is undone or redone, that is no new doing.
  private still = false
  private acts = 0
  private within = false

  // What was written, newest first.
  list = () => this.done.filter(isWritten).toReversed()

  // Writing in one segment and confirming it is one doing.
  note(before: Segment, after: Segment) {
    if (this.still) return
    const last = this.done.at(-1)
    const goesOn =
      !this.within &&
      !!last &&
      isWritten(last) &&
      last.id === before.id &&
      same(last.after, standing(before)) &&
      before.state !== 'translated'
    if (goesOn) last.after = standing(after)
    else {
      const { id, position: number } = before
      if (!this.within) this.acts += 1
      this.push({ id, number, filled: 0, act: this.acts, before: standing(before), after: standing(after) })
    }
    this.undone = []
  }

  noteRecut({ id, position, document_id: document }: Segment, operation: number) {
    this.acts += 1
    this.push({ id, number: position, document, act: this.acts, operation })
    this.undone = []
  }

  private push(doing: Doing) {
    this.done = [...this.done, doing].slice(-KEPT)
  }

  // The text was cut anew: what was done to segments that are gone cannot be undone, the others have the
  // numbers they have now.
  settle(numbers: Map<number, number>) {
    const there = (doing: Doing) => !isWritten(doing) || numbers.has(doing.id)
    const renumbered = (doing: Doing) => ({ ...doing, number: numbers.get(doing.id) ?? doing.number })
    this.done = this.done.filter(there).map(renumbered)
    this.undone = this.undone.filter(there).map(renumbered)
  }

  filled(id: number, count: number) {
    const last = this.done.filter(isWritten).findLast((doing) => doing.id === id)
    if (last) last.filled = count
  }

  // What is written in several segments as one act.
  together(work: () => void) {
    this.acts += 1
    this.within = true
    work()
    this.within = false
  }

  // The act to undo next, or that of a certain doing: its last doing first. The one to redo next. How segments
  // were cut is not redone.
  takeBack(wanted = this.done.at(-1)): Doing[] {
    if (!wanted) return []
    const act = this.done.filter((doing) => doing.act === wanted.act).toReversed()
    this.done = this.done.filter((doing) => doing.act !== wanted.act)
    if (act.every(isWritten)) this.undone.push(...act)
    return act
  }
  doAgain(): Written[] {
    const next = this.undone.at(-1)
    if (!next) return []
    const act = this.undone.filter((doing) => doing.act === next.act).toReversed()
    this.undone = this.undone.filter((doing) => doing.act !== next.act)
    this.done.push(...act)
    return act.filter(isWritten)
  }

  quietly(work: () => void) {
    this.still = true
    work()
    this.still = false
  }
}

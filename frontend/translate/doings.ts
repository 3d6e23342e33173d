// What she did in the text since it was opened, segment by segment: each with what stood there before, so that
// it can be taken back and done again, also when she is elsewhere by now.
import type { Origin, Segment, State } from '../shared/types'

export interface Standing {
  target: string
  origin: Origin
  state: State
}
export interface Doing {
  id: number
  number: number
  before: Standing
  after: Standing
  // How many identical segments took it.
  filled: number
  // Those of one number are one act.
  act: number
}

// More than this is a matter of each segment's past.
const KEPT = 500
const standing = ({ target, origin, state }: Segment): Standing => ({ target, origin, state })
const same = (one: Standing, other: Standing) => one.target === other.target && one.state === other.state

export class Doings {
  private done: Doing[] = []
  private undone: Doing[] = []
  // While something is taken back or done again, that is no new doing.
  private still = false
  private acts = 0
  private within = false

  // Newest first.
  list = () => this.done.toReversed()

  // Writing in one segment and confirming it is one doing.
  note(before: Segment, after: Segment) {
    if (this.still) return
    const last = this.done.at(-1)
    const goesOn =
      !this.within &&
      last?.id === before.id &&
      same(last.after, standing(before)) &&
      before.state !== 'translated'
    if (goesOn) last.after = standing(after)
    else {
      const { id, position: number } = before
      if (!this.within) this.acts += 1
      const doing = { id, number, filled: 0, act: this.acts }
      this.done.push({ ...doing, before: standing(before), after: standing(after) })
      this.done = this.done.slice(-KEPT)
    }
    this.undone = []
  }

  filled(id: number, count: number) {
    const last = this.done.findLast((doing) => doing.id === id)
    if (last) last.filled = count
  }

  // What is written in several segments as one act.
  together(work: () => void) {
    this.acts += 1
    this.within = true
    work()
    this.within = false
  }

  // The act to take back next, or that of a certain doing: its last doing first. The one to do again next.
  takeBack(wanted = this.done.at(-1)): Doing[] {
    if (!wanted) return []
    const act = this.done.filter((doing) => doing.act === wanted.act).toReversed()
    this.done = this.done.filter((doing) => doing.act !== wanted.act)
    this.undone.push(...act)
    return act
  }
  doAgain(): Doing[] {
    const next = this.undone.at(-1)
    if (!next) return []
    const act = this.undone.filter((doing) => doing.act === next.act).toReversed()
    this.undone = this.undone.filter((doing) => doing.act !== next.act)
    this.done.push(...act)
    return act
  }

  quietly(work: () => void) {
    this.still = true
    work()
    this.still = false
  }
}

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

  // Newest first.
  list = () => this.done.toReversed()

  // Writing in one segment and confirming it is one doing.
  note(before: Segment, after: Segment) {
    if (this.still) return
    const last = this.done.at(-1)
    const goesOn =
      last?.id === before.id && same(last.after, standing(before)) && before.state !== 'translated'
    if (goesOn) last.after = standing(after)
    else {
      const { id, position: number } = before
      this.done.push({ id, number, before: standing(before), after: standing(after), filled: 0 })
      this.done = this.done.slice(-KEPT)
    }
    this.undone = []
  }

  filled(id: number, count: number) {
    const last = this.done.findLast((doing) => doing.id === id)
    if (last) last.filled = count
  }

  // The one to take back next, or a certain one; the one to do again next.
  takeBack(wanted = this.done.at(-1)) {
    if (!wanted) return null
    this.done = this.done.filter((doing) => doing !== wanted)
    this.undone.push(wanted)
    return wanted
  }
  doAgain() {
    const doing = this.undone.pop()
    if (doing) this.done.push(doing)
    return doing ?? null
  }

  quietly(work: () => void) {
    this.still = true
    work()
    this.still = false
  }
}

// The segments of the open project, kept in the browser: one array, one open segment, listeners by segment.
import type { Origin, Segment, State } from '../shared/types'
import { UndoHistory } from './undoHistory'
import type { Answer, Draft, Entry, Outbox } from '../shared/outbox'

const UNFINISHED = new Set(['untouched', 'draft'])
// What is there to be read only is nothing left to do.
export const isUnfinished = (segment: Segment) => !segment.locked && UNFINISHED.has(segment.state)

interface Hooks {
  repeated: (id: number, filled: number, others: number) => void
  troubled: (entry: Entry) => void
  // The open segment was changed elsewhere while nobody typed in it here.
  changedElsewhere: (segment: Segment) => void
  // The translation memories have learned something.
  learned: () => void
}

export class Store {
  readonly byId = new Map<number, Segment>()
  private listeners = new Set<() => void>()
  private revision = 0
  private sums: { words: number; total: number; segments: number }
  // Changes whenever the strip would look otherwise.
  inked = 0
  // The text that each segment was confirmed with, as far as this page knows.
  private confirmed = new Map<number, { target: string; state: State }>()
  // Confirmations that are undone and not answered yet.
  private withdrawn = new Set<number>()
  private stop: () => void

  constructor(
    readonly project: number,
    readonly segments: Segment[],
    readonly outbox: Outbox,
    private readonly hooks: Hooks,
    readonly undoHistory = new UndoHistory(),
  ) {
    segments.forEach((segment) => {
      this.byId.set(segment.id, segment)
      this.noteConfirmed(segment)
    })
    undoHistory.settle(new Map(segments.map(({ id, position }) => [id, position])))
    this.sums = this.countAll()
    this.stop = outbox.listen(project, {
      done: (answer, newer) => this.answered(answer, newer),
      troubled: (entry) => {
        hooks.troubled(entry)
        this.changed()
      },
    })
    // What this browser still holds is newer than what the server gave.
    segments.forEach((segment) => {
      const entry = outbox.pending(segment.id)
      if (entry)
        this.put(segment.id, { target: entry.target, origin: entry.origin, state: this.stateOf(entry) })
    })
  }

  dispose() {
    this.stop()
  }

  private answered(answer: Answer, newer: boolean) {
    const { segment, repeats, others } = answer
    // What was typed since stays; only the version it is based on is another.
    this.put(segment.id, newer ? { version: segment.version } : segment)
    this.noteConfirmed(segment)
    this.take(repeats)
    if (repeats.length) this.undoHistory.filled(segment.id, repeats.length)
    if (repeats.length || others) this.hooks.repeated(segment.id, repeats.length, others)
    if (!isUnfinished(segment) || this.withdrawn.delete(segment.id)) this.hooks.learned()
    this.changed()
  }

  private noteConfirmed(segment: Segment) {
    if (!isUnfinished(segment)) this.confirmed.set(segment.id, segment)
  }

  private stateOf(entry: Entry): State {
    if (entry.confirm) return 'translated'
    if (entry.undone) return this.confirmed.get(entry.segment)?.state ?? 'draft'
    return entry.target ? 'draft' : 'untouched'
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => {
      this.listeners.delete(listener)
    }
  }
  snapshot = () => this.revision

  // withdrawn: a confirmation is undone.
  draft(id: number, target: string, origin: Origin, withdrawn?: boolean) {
    const segment = this.byId.get(id)
    if (!segment || (!withdrawn && segment.target === target && segment.state !== 'untouched')) return
    if (withdrawn) {
      this.confirmed.delete(id)
      this.withdrawn.add(id)
    }
    // Typing taken back to what was confirmed is confirmed again.
    const before = this.confirmed.get(id)
    const undone = before?.target === target || undefined
    this.send(segment, { target, origin, undone, withdrawn })
    const typed: State = target ? 'draft' : 'untouched'
    this.put(id, { target, origin, state: undone ? before!.state : typed })
    this.undoHistory.note(segment, this.byId.get(id)!)
    this.changed()
  }

  confirm(id: number, target: string, origin: Origin) {
    const segment = this.byId.get(id)
    if (!segment) return
    this.send(segment, { target, origin, confirm: true })
    this.put(id, { target, origin, state: 'translated' })
    this.confirmed.set(id, { target, state: 'translated' })
    this.undoHistory.note(segment, this.byId.get(id)!)
    this.changed()
  }

  mark(id: number) {
    const segment = this.byId.get(id)
    if (!segment) return
    const marked = !segment.marked
    this.send(segment, { target: segment.target, origin: segment.origin, marked })
    this.put(id, { marked })
    this.changed()
  }

  private send(segment: Segment, fields: Pick<Draft, 'target' | 'origin'> & Partial<Draft>) {
    this.outbox.put({
      segment: segment.id,
      project: this.project,
      number: segment.position,
      base: segment.version,
      ...fields,
    })
  }

  // What the server says of segments that changed there; by: whose doing it was, this page's or another's.
  take(segments: Segment[], by: 'page' | 'others' = 'page') {
    segments.forEach((segment) => {
      if (this.outbox.pending(segment.id)) return
      const before = this.byId.get(segment.id)
      if (before && before.version >= segment.version && before.exempt === segment.exempt) return
      this.put(segment.id, segment)
      this.noteConfirmed(segment)
      if (by === 'others' && before && before.target !== segment.target) this.hooks.changedElsewhere(segment)
    })
    this.changed()
  }

  // Words and segments that are done, and all words; kept as they change.
  done = () => this.sums

  private countAll() {
    const sums = { words: 0, total: 0, segments: 0 }
    for (const segment of this.segments.filter(({ locked }) => !locked)) {
      sums.total += segment.words
      if (!isUnfinished(segment)) {
        sums.words += segment.words
        sums.segments += 1
      }
    }
    return sums
  }

  private recount(old: Segment, next: Segment) {
    const step = Number(!isUnfinished(next)) - Number(!isUnfinished(old))
    const { words, total, segments } = this.sums
    if (step) this.sums = { words: words + step * next.words, total, segments: segments + step }
    if (old.state !== next.state || old.marked !== next.marked) this.inked += 1
  }

  // Segments are replaced, not changed, so that a row sees that it is another one.
  private put(id: number, fields: Partial<Segment>) {
    const old = this.byId.get(id)
    if (!old) return
    const next = { ...old, ...fields }
    this.recount(old, next)
    this.byId.set(id, next)
    const at = this.index(id)
    if (at >= 0) this.segments[at] = next
  }

  private places?: Map<number, number>
  index(id: number): number {
    this.places ??= new Map(this.segments.map((segment, index) => [segment.id, index]))
    return this.places.get(id) ?? -1
  }

  private changed() {
    this.revision += 1
    this.listeners.forEach((listener) => listener())
  }
}

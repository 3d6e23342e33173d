// The segments of the open project, kept in the browser: one array, one open segment, listeners by segment.
import type { Origin, Segment } from '../shared/types'
import { Outbox } from '../shared/outbox'

const UNFINISHED = new Set(['untouched', 'draft'])
export const isUnfinished = (segment: Segment) => UNFINISHED.has(segment.state)

export class Store {
  readonly byId = new Map<number, Segment>()
  readonly outbox: Outbox
  private listeners = new Set<() => void>()
  private revision = 0

  constructor(
    readonly project: number,
    readonly segments: Segment[],
    private readonly said: (id: number | null, text: string) => void,
    repeated: (id: number, filled: number, others: number) => void,
  ) {
    segments.forEach((segment) => this.byId.set(segment.id, segment))
    this.outbox = new Outbox(
      `glossema.outbox.${project}`,
      (id, answer, newer) => {
        if (!newer) this.put(id, answer.segment)
        answer.repeats.forEach((repeat) => {
          if (!this.outbox.pending(repeat.id)) this.put(repeat.id, repeat)
        })
        if (answer.repeats.length || answer.others) repeated(id, answer.repeats.length, answer.others)
        this.changed()
      },
      (id, message) => this.said(id, message),
    )
    // What this browser still holds is newer than what the server gave.
    segments.forEach((segment) => {
      const entry = this.outbox.pending(segment.id)
      if (entry)
        Object.assign(segment, {
          target: entry.target,
          origin: entry.origin,
          state: entry.confirm ? 'translated' : entry.target ? 'draft' : 'untouched',
        })
    })
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => {
      this.listeners.delete(listener)
    }
  }
  snapshot = () => this.revision

  draft(id: number, target: string, origin: Origin) {
    const segment = this.byId.get(id)
    if (!segment || (segment.target === target && segment.state !== 'untouched')) return
    this.put(id, { target, origin, state: target ? 'draft' : 'untouched' })
    this.outbox.put(id, { target, origin })
    this.changed()
  }

  confirm(id: number, target: string, origin: Origin) {
    this.put(id, { target, origin, state: 'translated' })
    this.outbox.put(id, { target, origin, confirm: true })
    this.changed()
  }

  mark(id: number) {
    const segment = this.byId.get(id)
    if (!segment) return
    const marked = !segment.marked
    this.put(id, { marked })
    this.outbox.put(id, { target: segment.target, origin: segment.origin, marked })
    this.changed()
  }

  // What the server says of segments that changed there.
  take(segments: Segment[]) {
    segments.forEach((segment) => {
      if (!this.outbox.pending(segment.id)) this.put(segment.id, segment)
    })
    this.changed()
  }

  done() {
    let words = 0,
      total = 0,
      segments = 0
    for (const segment of this.segments) {
      total += segment.words
      if (!isUnfinished(segment)) {
        words += segment.words
        segments += 1
      }
    }
    return { words, total, segments }
  }

  // Segments are replaced, not changed, so that a row sees that it is another one.
  private put(id: number, fields: Partial<Segment>) {
    const old = this.byId.get(id)
    if (!old) return
    const next = { ...old, ...fields }
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

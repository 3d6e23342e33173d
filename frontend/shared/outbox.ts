// What was typed and is not yet on the server. Every key press is written to the browser's own database, for
// each person and tab apart, sent shortly after, and tried again until the server has it: through a lost
// network, a closed tab, a restarted server, a session that ended. Nothing in it is ever thrown away but by
// its owner.
import { createStore, del, entries as storedEntries, set } from 'idb-keyval'
import { ApiError, OfflineError, api, identity } from './api'
import type { Origin, Segment } from './types'

// What holds an entry back: another wording came meanwhile, the segment is gone, or the server refused it.
export interface Trouble {
  kind: 'changed' | 'gone' | 'refused'
  message: string
  theirs?: Segment
}
export interface Entry {
  segment: number
  project: number
  number: number
  target: string
  origin: Origin
  confirm?: boolean
  marked?: boolean
  undone?: boolean
  // It is back as it was before it was confirmed.
  withdrawn?: boolean
  // The version of the segment that was written on; unset where any will do.
  base?: number
  // What was sent without an answer so far: it may stand on the server all the same.
  tried?: string[]
  at: number
  trouble?: Trouble
}
export type Draft = Omit<Entry, 'at' | 'trouble' | 'tried'>
export type Answer = { segment: Segment; repeats: Segment[]; others: number }
// Why what waits is not sent: the server does not answer, its disk is full or cannot be written to, nobody or
// somebody else is signed in.
export type Blocked = 'unreachable' | 'disk-full' | 'disk-refuses' | 'signed-out'
export interface Status {
  waiting: number
  blocked: Blocked | null
  troubled: Entry[]
}
export interface Listener {
  done: (answer: Answer, newer: boolean) => void
  troubled: (entry: Entry) => void
}

// What the server's answer says of an entry.
const KINDS: Partial<Record<number, Trouble['kind']>> = { 404: 'gone', 409: 'changed' }
const DELAY = 350
const RETRY = 2500
// So many different wordings are remembered that were sent without an answer: any of them may have arrived.
const TRIED = 1000
const DATABASE = createStore('glossema-outbox', 'entries')
export const TAB = crypto.randomUUID()

type Stored = Entry & { user: number; tab: string }

export class Outbox {
  private readonly waiting = new Map<number, Entry>()
  private readonly watchers = new Set<() => void>()
  private readonly listeners = new Map<number, Listener>()
  private timer = 0
  private sending = false
  private status: Status = { waiting: 0, blocked: null, troubled: [] }
  // Until what closed tabs left behind is known.
  readonly ready: Promise<void>

  constructor(private readonly user: number) {
    window.addEventListener('online', this.flush)
    window.addEventListener('pagehide', this.leave)
    this.ready = this.adopt()
  }

  pending = (segment: number): Entry | undefined => this.waiting.get(segment)

  // What a page of a project wants to hear of its segments.
  listen(project: number, listener: Listener) {
    this.listeners.set(project, listener)
    return () => {
      if (this.listeners.get(project) === listener) this.listeners.delete(project)
    }
  }

  put(draft: Draft) {
    const before = this.waiting.get(draft.segment)
    const entry: Entry = { ...before, ...draft, at: now(), trouble: before?.trouble }
    // A draft after a confirmation that still waits does not take the confirmation back.
    entry.confirm = draft.confirm ?? (before?.target === draft.target ? before.confirm : undefined)
    entry.marked = draft.marked ?? before?.marked
    entry.undone = draft.undone
    entry.withdrawn = draft.confirm ? undefined : (draft.withdrawn ?? before?.withdrawn)
    entry.base = before ? before.base : draft.base
    if (entry.trouble?.kind === 'refused') entry.trouble = undefined
    this.keep(entry)
    this.schedule(draft.confirm ? 0 : DELAY)
  }

  // The local text is kept; the other one goes to the history of the segment.
  keepMine(segment: number) {
    const entry = this.waiting.get(segment)
    if (!entry) return
    this.keep({ ...entry, base: undefined, trouble: undefined })
    this.schedule(0)
  }

  // The other text is kept; the local one goes to the history of the segment.
  async keepTheirs(segment: number) {
    const entry = this.waiting.get(segment)
    if (!entry) return
    await api.post(`/segments/${segment}/versions`, { target: entry.target, origin: entry.origin })
    this.drop(segment)
  }

  // Its owner has seen it and does not want it any more.
  dismiss(segment: number) {
    this.drop(segment)
  }

  subscribe = (watcher: () => void) => {
    this.watchers.add(watcher)
    return () => {
      this.watchers.delete(watcher)
    }
  }
  snapshot = () => this.status

  // Resolves once the server has everything that it can have; rejects when it does not answer.
  emptied = async () => {
    this.schedule(0)
    for (let tries = 0; tries < 80; tries += 1) {
      if (!this.open().length) return
      if (this.status.blocked) break
      await new Promise((resolve) => window.setTimeout(resolve, 50))
    }
    throw new OfflineError()
  }

  flush = () => {
    this.schedule(0)
  }

  // Entries of tabs that were closed are taken over; those of tabs still open are theirs to send.
  private async adopt() {
    const [stored, living] = [
      await storedEntries<string, Stored>(DATABASE).catch(() => []),
      await livingTabs(),
    ]
    void holdTab()
    for (const [key, { user, tab, ...entry }] of stored) {
      if (user !== this.user || (tab !== TAB && living.has(tab))) continue
      const known = this.waiting.get(entry.segment)
      if (!known || known.at < entry.at) this.keep(entry)
      if (tab !== TAB) await del(key, DATABASE)
    }
    if (this.waiting.size) this.schedule(0)
  }

  private open = () => [...this.waiting.values()].filter((entry) => !entry.trouble)

  private schedule(delay: number) {
    window.clearTimeout(this.timer)
    this.timer = window.setTimeout(() => void this.send(), delay)
  }

  private async send() {
    if (this.sending) return
    this.sending = true
    let blocked: Blocked | null = null
    for (const entry of this.open().toSorted((one, other) => one.at - other.at)) {
      blocked = await this.sendOne(entry)
      if (blocked) break
    }
    this.sending = false
    this.update(blocked)
    if (this.open().length) this.schedule(blocked ? RETRY : DELAY)
  }

  private async sendOne(entry: Entry): Promise<Blocked | null> {
    const before = entry.tried ?? []
    const waits = this.waiting.get(entry.segment) ?? entry
    const tried = [...before.filter((target) => target !== entry.target), entry.target].slice(-TRIED)
    this.keep({ ...waits, tried })
    try {
      const answer = await api.patch<Answer>(`/segments/${entry.segment}`, body(entry))
      const newer = this.waiting.get(entry.segment)
      if (newer && newer.at !== entry.at)
        this.keep({ ...newer, base: answer.segment.version, tried: undefined })
      else this.drop(entry.segment)
      this.listeners.get(entry.project)?.done(answer, newer !== undefined && newer.at !== entry.at)
      return null
    } catch (error) {
      const blocked = blockedBy(error)
      if (!blocked && !this.wasOurs(entry.segment, before, error)) this.trouble(entry, error as ApiError)
      return blocked
    }
  }

  // What stands on the server is what was sent from here, though the answer was lost: no other wording.
  private wasOurs(segment: number, before: string[], error: unknown): boolean {
    const theirs = (error as ApiError).body as { segment?: Segment } | undefined
    const now = this.waiting.get(segment)
    if ((error as ApiError).status !== 409 || !theirs?.segment || !now) return false
    if (!before.includes(theirs.segment.target)) return false
    this.keep({ ...now, base: theirs.segment.version, tried: undefined })
    return true
  }

  private trouble(entry: Entry, error: ApiError) {
    const kind = KINDS[error.status] ?? 'refused'
    const theirs = (error.body as { segment?: Segment } | undefined)?.segment
    const now = this.waiting.get(entry.segment) ?? entry
    const troubled: Entry = { ...now, trouble: { kind, message: error.message, theirs } }
    this.keep(troubled)
    this.listeners.get(entry.project)?.troubled(troubled)
  }

  // The tab goes away: a last try that outlives it. The entries stay stored until a server has answered.
  private leave = () => {
    for (const entry of this.open())
      void api.patch(`/segments/${entry.segment}`, body(entry), { keepalive: true }).catch(() => undefined)
  }

  private key = (segment: number) => `${this.user}/${TAB}/${segment}`

  private keep(entry: Entry) {
    this.waiting.set(entry.segment, entry)
    void set(this.key(entry.segment), { ...entry, user: this.user, tab: TAB }, DATABASE)
    this.update(this.status.blocked)
  }

  private drop(segment: number) {
    this.waiting.delete(segment)
    void del(this.key(segment), DATABASE)
    this.update(this.status.blocked)
  }

  private update(blocked: Blocked | null) {
    const troubled = [...this.waiting.values()].filter((entry) => entry.trouble)
    this.status = { waiting: this.waiting.size - troubled.length, blocked, troubled }
    this.watchers.forEach((watcher) => watcher())
  }
}

// What is no fault of the entry: it can go in later as it is.
function blockedBy(error: unknown): Blocked | null {
  if (error instanceof OfflineError) return 'unreachable'
  if (!(error instanceof ApiError)) return 'unreachable'
  if (error.status === 401 || error.code === 'forged') return 'signed-out'
  if (error.code === 'disk-full' || error.code === 'disk-refuses') return error.code
  return error.status >= 500 || error.status === 429 ? 'unreachable' : null
}

const now = () => performance.timeOrigin + performance.now()
const lockOf = (tab: string) => `glossema-tab-${tab}`

// A tab holds a lock as long as it lives. Without locks every other tab counts as closed: the server takes
// the same wording twice without harm.
async function livingTabs(): Promise<Set<string>> {
  const held = (await navigator.locks?.query())?.held ?? []
  return new Set(held.map((lock) => (lock.name ?? '').replace('glossema-tab-', '')))
}
const holdTab = () => navigator.locks?.request(lockOf(TAB), () => new Promise(() => undefined))

const body = ({ target, origin, base, confirm, undone, withdrawn, marked }: Entry) => ({
  target,
  origin,
  base,
  ...(confirm ? { confirm } : {}),
  ...(undone ? { undone } : {}),
  ...(withdrawn ? { withdrawn } : {}),
  ...(marked === undefined ? {} : { marked }),
})

let current: { user: number; outbox: Outbox } | undefined

// The outbox of who is signed in; one for the whole tab.
export function outboxOf(user: number): Outbox {
  if (current?.user !== user) current = { user, outbox: new Outbox(user) }
  identity(user, TAB)
  return current.outbox
}

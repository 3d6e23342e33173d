// What was typed and is not yet on the server. Every change is written to the browser's storage at once, sent shortly
// after, and tried again until the server has it: through a lost network, a closed tab, a restarted server.
import { ApiError, OfflineError, api } from './api'
import type { Origin, Segment } from './types'

export interface Entry {
  target: string
  origin: Origin
  confirm?: boolean
  marked?: boolean
  at: number
}
export type Answer = { segment: Segment; repeats: Segment[]; others: number }
export type Status = { waiting: number; offline: boolean }

const DELAY = 350
const RETRY = 2500

export class Outbox {
  private entries: Record<string, Entry>
  private timer = 0
  private sending = false
  private listeners = new Set<() => void>()
  private status: Status = { waiting: 0, offline: false }

  constructor(
    private readonly name: string,
    private readonly done: (id: number, answer: Answer, newer: boolean) => void,
    private readonly refused: (id: number, message: string) => void,
  ) {
    this.entries = JSON.parse(localStorage.getItem(name) ?? '{}') as Record<string, Entry>
    this.update(false)
    window.addEventListener('online', this.flush)
    window.addEventListener('pagehide', this.leave)
    if (this.status.waiting) this.schedule(0)
  }

  dispose() {
    window.removeEventListener('online', this.flush)
    window.removeEventListener('pagehide', this.leave)
    window.clearTimeout(this.timer)
    this.leave()
  }

  pending = (id: number): Entry | undefined => this.entries[id]

  put(id: number, entry: Omit<Entry, 'at'>) {
    const before = this.entries[id]
    // A draft after a confirmation that is still waiting must not take the confirmation back.
    const confirm = entry.confirm ?? (before?.confirm && before.target === entry.target ? true : undefined)
    this.entries[id] = { ...entry, confirm, at: performance.timeOrigin + performance.now() }
    this.keep()
    this.update(this.status.offline)
    this.schedule(entry.confirm ? 0 : DELAY)
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => {
      this.listeners.delete(listener)
    }
  }
  snapshot = () => this.status

  // Resolves once the server has everything; rejects when it does not answer.
  emptied = async () => {
    this.schedule(0)
    for (let tries = 0; tries < 60; tries += 1) {
      if (!this.status.waiting) return
      if (this.status.offline) throw new OfflineError('offline')
      await new Promise((resolve) => window.setTimeout(resolve, 50))
    }
    throw new OfflineError('offline')
  }

  flush = () => {
    this.schedule(0)
  }

  private schedule(delay: number) {
    window.clearTimeout(this.timer)
    this.timer = window.setTimeout(() => void this.send(), delay)
  }

  private async send() {
    if (this.sending) return
    this.sending = true
    let offline = false
    for (const [id, entry] of Object.entries(this.entries).sort((one, other) => one[1].at - other[1].at)) {
      try {
        const answer = await api.patch<Answer>(`/segments/${id}`, body(entry))
        const newer = this.entries[id]?.at !== entry.at
        if (!newer) this.drop(id)
        this.done(Number(id), answer, newer)
      } catch (error) {
        if (error instanceof OfflineError || (error instanceof ApiError && error.status >= 500)) {
          offline = true
          break
        }
        if (error instanceof ApiError && error.status === 401) {
          offline = true
          this.refused(Number(id), error.message)
          break
        }
        this.drop(id)
        this.refused(Number(id), (error as Error).message)
      }
    }
    this.sending = false
    this.update(offline)
    if (Object.keys(this.entries).length) this.schedule(offline ? RETRY : DELAY)
  }

  // The tab goes away: a last try that outlives it. The entries stay stored until a server has answered.
  private leave = () => {
    for (const [id, entry] of Object.entries(this.entries))
      void api.patch(`/segments/${id}`, body(entry), { keepalive: true }).catch(() => undefined)
  }

  private drop(id: string) {
    delete this.entries[id]
    this.keep()
  }
  private keep() {
    localStorage.setItem(this.name, JSON.stringify(this.entries))
  }

  private update(offline: boolean) {
    this.status = { waiting: Object.keys(this.entries).length, offline }
    this.listeners.forEach((listener) => listener())
  }
}

const body = (entry: Entry) => ({
  target: entry.target,
  origin: entry.origin,
  ...(entry.confirm ? { confirm: true } : {}),
  ...(entry.marked === undefined ? {} : { marked: entry.marked }),
})

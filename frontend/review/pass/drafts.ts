// What is being written in a pass: kept in the browser with every key, on the server shortly after, and tried
// again until the server has it.
import { ApiError } from '../../shared/api'
import { keepDraft } from './queries'

const DELAY = 350
const RETRY = 2500
const PREFIX = 'glossema.pass'

export class Drafts {
  private readonly waiting = new Map<number, string | null>()
  private timer = 0

  constructor(
    private readonly user: number,
    private readonly round: number,
  ) {
    window.addEventListener('pagehide', this.leave)
    window.addEventListener('online', this.flush)
    for (const name of Object.keys(localStorage)) {
      const [place, segment] = [name.slice(0, name.lastIndexOf('.')), Number(name.split('.').at(-1))]
      if (place === this.place) this.waiting.set(segment, localStorage.getItem(name))
    }
    this.flush()
  }

  // What the server does not have yet.
  of = (segment: number) => this.waiting.get(segment)

  put(segment: number, text: string) {
    this.waiting.set(segment, text)
    localStorage.setItem(`${this.place}.${segment}`, text)
    this.schedule(DELAY)
  }

  // It was kept as a whole, or is dropped.
  drop(segment: number) {
    this.waiting.delete(segment)
    localStorage.removeItem(`${this.place}.${segment}`)
  }

  close() {
    window.removeEventListener('pagehide', this.leave)
    window.removeEventListener('online', this.flush)
    this.flush()
  }

  private get place() {
    return `${PREFIX}.${this.user}.${this.round}`
  }

  private readonly flush = () => {
    this.schedule(0)
  }

  private schedule(delay: number) {
    window.clearTimeout(this.timer)
    this.timer = window.setTimeout(() => void this.send(), delay)
  }

  private async send() {
    for (const [segment, text] of this.waiting) {
      try {
        await keepDraft(this.round, segment, text)
        if (this.waiting.get(segment) === text) this.drop(segment)
      } catch (error) {
        if (isRefused(error)) continue
        this.schedule(RETRY)
        return
      }
    }
  }

  // The tab goes away: a last try that outlives it.
  private readonly leave = () => {
    for (const [segment, text] of this.waiting)
      void keepDraft(this.round, segment, text, { keepalive: true }).catch(() => undefined)
  }
}

// What trying again would not help: it stays in the browser.
const isRefused = (error: unknown) =>
  error instanceof ApiError && [403, 404, 422].includes(error.status) && error.code !== 'forged'

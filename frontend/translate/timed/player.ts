// The film as keys, cues and presses drive it, whether or not it is in sight; who shows its time listens.
export type Way = 'on' | 'once' | 'again'
export const SPEEDS = [0.5, 0.75, 1, 1.25, 1.5, 2]
// Half a second.
const BACK = 0.5
// A cue begins a hair after its time, so that it is the one that is shown.
const HAIR = 0.001

export interface Facts {
  playing: boolean
  way: Way
  speed: number
  // Seconds, null until it is known.
  duration: number | null
  // It cannot be played here.
  broken: boolean
}

interface Stretch {
  from: number
  to: number | null
}

export class FilmPlayer {
  private video: HTMLVideoElement | null = null
  private facts: Facts = { playing: false, way: 'on', speed: 1, duration: null, broken: false }
  private stretch: Stretch | null = null
  // It is to play as soon as it is there.
  private waiting: Way | null = null
  private at = 0
  private drawing = 0
  private listeners = new Set<() => void>()
  private clocks = new Set<() => void>()

  // Frames a second.
  private rate = 25

  setRate(rate: number) {
    this.rate = rate
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => {
      this.listeners.delete(listener)
    }
  }
  snapshot = () => this.facts
  // Told at each frame and seek.
  listen = (clock: () => void) => {
    this.clocks.add(clock)
    return () => {
      this.clocks.delete(clock)
    }
  }
  time = () => this.at
  get isThere() {
    return this.video !== null
  }

  // The element that plays it; answers what lets go of it.
  attach = (video: HTMLVideoElement | null) => {
    if (!video) return undefined
    this.video = video
    const handlers: [string, () => void][] = [
      ['loadedmetadata', () => this.loaded()],
      ['play', () => this.began()],
      ['pause', () => this.note({ playing: false })],
      ['seeked', () => this.tick()],
      ['error', () => this.note({ broken: true, playing: false })],
    ]
    handlers.forEach(([name, handler]) => video.addEventListener(name, handler))
    if (video.readyState >= 1) this.loaded()
    return () => {
      handlers.forEach(([name, handler]) => video.removeEventListener(name, handler))
      cancelAnimationFrame(this.drawing)
      this.video = null
      this.note({ playing: false, broken: false })
    }
  }

  // Another cue is open.
  open(cue: { start: number; finish: number | null } | null) {
    if (!cue) {
      this.stretch = null
      return
    }
    this.stretch = { from: Math.max(cue.start, 0), to: cue.finish }
    const { from, to } = this.stretch
    if (this.at < from || (to !== null && this.at >= to)) this.seek(from + HAIR)
  }

  seek(seconds: number) {
    this.at = Math.min(Math.max(seconds, 0), this.facts.duration ?? Infinity)
    if (this.video) this.video.currentTime = this.at
    this.tell()
  }

  toggle() {
    if (this.facts.playing) this.video?.pause()
    else this.play('on')
  }

  // The open cue, once or again and again.
  playCue(way: 'once' | 'again') {
    if (this.facts.playing && this.facts.way === way) {
      this.video?.pause()
      return
    }
    if (this.stretch) this.seek(this.stretch.from + HAIR)
    this.play(this.stretch ? way : 'on')
  }

  back = () => this.seek(this.at - BACK)
  frame(step: 1 | -1) {
    this.video?.pause()
    this.seek(this.at + step / this.rate)
  }

  faster(step: 1 | -1) {
    const index = Math.min(Math.max(SPEEDS.indexOf(this.facts.speed) + step, 0), SPEEDS.length - 1)
    this.setSpeed(SPEEDS[index])
  }

  setSpeed(speed: number) {
    if (this.video) this.video.playbackRate = speed
    this.note({ speed })
  }

  private play(way: Way) {
    this.note({ way })
    this.waiting = this.video ? null : way
    // Refused where it cannot be played, which is told by its error.
    void this.video?.play().catch(() => this.note({ playing: false }))
  }

  private loaded() {
    if (!this.video) return
    this.note({ duration: Number.isFinite(this.video.duration) ? this.video.duration : null, broken: false })
    this.video.currentTime = this.at
    this.video.playbackRate = this.facts.speed
    if (this.waiting) this.play(this.waiting)
  }

  private began() {
    this.note({ playing: true })
    const draw = () => {
      this.tick()
      if (this.video && !this.video.paused) this.drawing = requestAnimationFrame(draw)
    }
    cancelAnimationFrame(this.drawing)
    this.drawing = requestAnimationFrame(draw)
  }

  private tick() {
    if (!this.video) return
    this.at = this.video.currentTime
    const { way, playing } = this.facts
    const end = this.stretch?.to
    if (playing && way !== 'on' && end != null && this.at >= end) this.ended(way)
    this.tell()
  }

  // The open cue is over.
  private ended(way: 'once' | 'again') {
    if (way === 'once') this.video!.pause()
    this.at = this.stretch!.from + HAIR
    this.video!.currentTime = this.at
  }

  private note(fields: Partial<Facts>) {
    this.facts = { ...this.facts, ...fields }
    this.listeners.forEach((listener) => listener())
  }

  private tell() {
    this.clocks.forEach((clock) => clock())
  }
}

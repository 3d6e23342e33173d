// What is measured of a cue while it is written. The core measures the same (Glossema::Timing::Meters); both are
// held to core/spec/cases/cue_meters.json.
export interface Limits {
  cps: number
  characters: number
  lines: number
  shortest: number
  longest: number
  frames: number
  rate: number
}
// Seconds; finish is null where the file names no end.
export interface Shown {
  start: number
  finish: number | null
}
export type Over = 'cps' | 'characters' | 'lines' | 'duration' | 'gap' | 'overlap'
export interface Meters {
  // Of each line, in characters as they are seen.
  lines: number[]
  cps: number | null
  wpm: number | null
  duration: number | null
  gap: number | null
  over: Over[]
}

const seen = new Intl.Segmenter('en', { granularity: 'grapheme' })
const length = (text: string) => [...seen.segment(text)].length
// Scripts without spaces: each character counts as a word.
const BY_CHARACTER = /[\p{sc=Han}\p{sc=Hiragana}\p{sc=Katakana}\p{sc=Thai}\p{sc=Lao}\p{sc=Khmer}]/gu
const WORD = /[\p{L}\p{N}][\p{L}\p{N}\p{M}]*(?:[-‑'’.,:/][\p{L}\p{N}][\p{L}\p{N}\p{M}]*)*/gu
const words = (text: string) => {
  const single = text.match(BY_CHARACTER)?.length ?? 0
  return single + (text.replace(BY_CHARACTER, ' ').match(WORD)?.length ?? 0)
}
// Times are whole thousandths of a second; sums of them are not.
const exact = (seconds: number) => Math.round(seconds * 1000) / 1000

// next: when the next cue begins.
export function metersOf(
  text: string,
  { start, finish }: Shown,
  next: number | null,
  limits: Limits,
): Meters {
  const lines = text
    .split(/\r\n|\r|\n/)
    .map((line) => line.trim())
    .filter(Boolean)
  const lengths = lines.map(length)
  const characters = lengths.reduce((sum, one) => sum + one, 0)
  const duration = finish === null ? null : exact(finish - start)
  const gap = finish === null || next === null ? null : exact(next - finish)
  const rate = (amount: number) => (duration !== null && duration > 0 ? amount / duration : null)
  const cps = rate(characters)
  const isOver: Record<Over, boolean> = {
    cps: duration !== null && characters > 0 && (cps === null || cps > limits.cps),
    characters: lengths.some((one) => one > limits.characters),
    lines: lines.length > limits.lines,
    duration: duration === null || duration < limits.shortest || duration > limits.longest,
    gap: gap !== null && gap >= 0 && gap < exact(limits.frames / limits.rate),
    overlap: gap !== null && gap < 0,
  }
  const wpm = rate(words(lines.join(' ')))
  return {
    lines: lengths,
    cps,
    wpm: wpm === null ? null : wpm * 60,
    duration,
    gap,
    over: (Object.keys(isOver) as Over[]).filter((name) => isOver[name]),
  }
}

// How many characters are too many for the time a cue is shown.
export const toLose = ({ lines, duration }: Meters, limits: Limits) =>
  duration === null
    ? 0
    : Math.max(lines.reduce((sum, one) => sum + one, 0) - Math.floor(exact(limits.cps * duration)), 0)

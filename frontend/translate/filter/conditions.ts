// What is shown of a text: conditions that all hold, and the order.
import { plain } from '../../shared/content'
import type { Origin, Segment, State } from '../../shared/types'
import type { Marks } from '../marks'

export type Side = 'either' | 'source' | 'target'
export type OriginKind = NonNullable<Origin['kind']>
export type Order = 'document' | 'shortest' | 'longest' | 'source' | 'score'
export type Since = 'ever' | 'hour' | 'day' | 'week'
export interface Conditions {
  text: string
  side: Side
  cased: boolean
  // Is the text a regular expression?
  expression: boolean
  states: State[]
  origins: OriginKind[]
  // Of the match a text came from.
  scoreFrom: number | null
  scoreTo: number | null
  repeats: 'all' | 'first' | 'later'
  noted: boolean
  // Characters of the source.
  lengthFrom: number | null
  lengthTo: number | null
  // By whom something was written, and since when.
  by: string | null
  // With a term of the termbases in the source.
  termed: boolean
  since: Since
  // With a finding of the checks.
  finding: 'any' | 'must-fix' | null
  order: Order
}

export const ANYTHING: Conditions = {
  text: '',
  side: 'either',
  cased: false,
  expression: false,
  states: [],
  origins: [],
  scoreFrom: null,
  scoreTo: null,
  repeats: 'all',
  noted: false,
  lengthFrom: null,
  lengthTo: null,
  by: null,
  termed: false,
  since: 'ever',
  finding: null,
  order: 'document',
}

// Does it have all fields that conditions have now, of their kinds?
export const isConditions = (value: Conditions) =>
  Object.entries(ANYTHING).every(
    ([name, first]) =>
      name in value &&
      (first === null || typeof first === typeof value[name as keyof Conditions]) &&
      Array.isArray(first) === Array.isArray(value[name as keyof Conditions]),
  )

type Fits = (segment: Segment) => boolean

const folded = (text: string) => text.normalize('NFC').toLocaleLowerCase()

function holdsText({ text, side, cased }: Conditions): Fits {
  const form = cased ? (one: string) => one.normalize('NFC') : folded
  const wanted = form(text)
  const holds = (written: string, segment: Segment) => form(plain(written, segment.codes)).includes(wanted)
  return (segment) =>
    (side !== 'target' && holds(segment.source, segment)) ||
    (side !== 'source' && holds(segment.target, segment))
}

// The first of the segments with the same source, or those after it.
function inRepeats(segments: Segment[], which: 'first' | 'later'): Fits {
  const seen = new Map<string, number>()
  const times = new Map<string, number>()
  segments.forEach(({ id, source }) => {
    if (!seen.has(source)) seen.set(source, id)
    times.set(source, (times.get(source) ?? 0) + 1)
  })
  return ({ id, source }) => times.get(source)! > 1 && (seen.get(source) === id) === (which === 'first')
}

function inScores({ scoreFrom, scoreTo }: Conditions): Fits {
  return ({ origin: { score } }) =>
    score !== undefined && score >= (scoreFrom ?? 0) && score <= (scoreTo ?? 100)
}

function inLengths({ lengthFrom, lengthTo }: Conditions): Fits {
  return ({ source, codes }) => {
    const length = plain(source, codes).length
    return length >= (lengthFrom ?? 0) && length <= (lengthTo ?? Infinity)
  }
}

// What is known of segments beside what they are: which have a note or a finding, and
// which the server found.
export interface Known {
  noted: ReadonlyMap<number, unknown>
  marks: Marks
  // null where nothing was asked.
  found: ReadonlySet<number> | null
}

// What only the server can tell, or null.
export function askedOfServer({ text, expression, side, cased, by, since, termed }: Conditions) {
  const asked = {
    ...(expression && text ? { expression: text, side, cased: String(cased) } : {}),
    ...(by ? { by } : {}),
    ...(termed ? { termed: 'true' } : {}),
    ...(since === 'ever' ? {} : { since }),
  }
  return Object.keys(asked).length ? asked : null
}

function all(conditions: Conditions, segments: Segment[], { noted: notes, marks, found }: Known): Fits[] {
  const { lengthFrom, lengthTo, expression, finding } = conditions
  const { text, states, origins, scoreFrom, scoreTo, repeats, noted } = conditions
  const list: (Fits | false)[] = [
    text !== '' && !expression && holdsText(conditions),
    states.length > 0 && ((segment) => states.includes(segment.state)),
    origins.length > 0 && (({ origin }) => !!origin.kind && origins.includes(origin.kind)),
    (scoreFrom !== null || scoreTo !== null) && inScores(conditions),
    repeats !== 'all' && inRepeats(segments, repeats),
    finding !== null && (({ id }) => marks.has(id) && (finding === 'any' || marks.get(id) === finding)),
    noted && (({ note, id }) => !!note || notes.has(id)),
    (lengthFrom !== null || lengthTo !== null) && inLengths(conditions),
    found !== null && (({ id }) => found.has(id)),
  ]
  return list.filter((one): one is Fits => one !== false)
}

type Compare = (one: Segment, other: Segment) => number
const COMPARE: Record<Exclude<Order, 'document'>, Compare> = {
  shortest: (one, other) => one.words - other.words,
  longest: (one, other) => other.words - one.words,
  source: (one, other) => one.source.localeCompare(other.source),
  score: (one, other) => (other.origin.score ?? -1) - (one.origin.score ?? -1),
}

// Those of the segments that fit, in order.
export function fitting(segments: Segment[], conditions: Conditions, known: Known): Segment[] {
  const conditionsHold = all(conditions, segments, known)
  const found = segments.filter((segment) => conditionsHold.every((fits) => fits(segment)))
  return conditions.order === 'document' ? found : found.toSorted(COMPARE[conditions.order])
}

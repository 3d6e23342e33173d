// What of a source's terms and figures is shown and put where.
import type { Carry, FoundTerm } from '../../shared/types'
import type { Marked } from '../../shared/Written'

// One row for each thing a term stands for: alike ones of several termbases are one.
export interface Pair {
  term: string
  // None where it is in a termbase of another server.
  entry: number | null
  termbase: string
  usable: { text: string; at_start: string }[]
  avoid: { text: string; status: string | null; note: string | null }[]
}

export function pairsOf(terms: FoundTerm[]): Pair[] {
  const seen = new Set<string>()
  return terms
    .filter((found) => {
      const key = `${found.term} ${found.targets.map((target) => target.text).join('|')}`
      return !seen.has(key) && seen.add(key)
    })
    .map((found) => ({
      term: found.term,
      entry: found.entry_id,
      termbase: found.termbase,
      usable: found.targets.filter((target) => target.usable),
      avoid: found.targets.filter((target) => !target.usable),
    }))
}

// Terms underlined, figures shaded; where marks would overlap the longer one stays.
export function marksOf(terms: FoundTerm[], carried: Carry[]): Marked[] {
  const all = [
    ...terms.map(({ from, to }) => ({ from, to, kind: 'of-term' })),
    ...carried.map(({ from, to }) => ({ from, to, kind: 'of-carried' })),
  ]
  const taken: Marked[] = []
  for (const mark of all.toSorted((one, other) => other.to - other.from - (one.to - one.from)))
    if (!taken.some((one) => mark.from < one.to && one.from < mark.to)) taken.push(mark)
  return taken.toSorted((one, other) => one.from - other.from)
}

// What is not in the target yet, in order. As the core does it: core/spec/cases/still_to_come.json.
export function stillToCome<One extends Pick<Carry, 'target'>>(carried: One[], target: string): One[] {
  let rest = target
  return carried.filter(({ target: text }) => {
    const at = rest.indexOf(text)
    if (at < 0) return true
    rest = rest.slice(0, at) + ' ' + rest.slice(at + text.length)
    return false
  })
}

// How likely a token follows another: in general, and in the translations of units like the source. As the
// core does it (Glossema::Completion::Bigrams, Likeness).
import type { CompletionContext } from './ahead'

export type Likely = (number: number) => number
export const START = 0
const STOP = 1
const DISCOUNT = 0.75

export function inGeneral({
  ones,
  twos,
}: Pick<CompletionContext, 'ones' | 'twos'>): (last: number) => Likely {
  const rows = twos.map((row) => {
    if (!row) return null
    const times = new Map<number, number>()
    for (let at = 0; at < row[2].length; at += 2) times.set(row[2][at], row[2][at + 1])
    return { sum: row[0], kinds: row[1], times }
  })
  return (last) => {
    const row = rows[last]
    if (!row?.sum) return (number) => ones[number]
    return (number) =>
      (Math.max((row.times.get(number) ?? 0) - DISCOUNT, 0) + DISCOUNT * row.kinds * ones[number]) / row.sum
  }
}

// Units less like the source than this do not count; what is kept for the shorter context, by its length.
const LEAST = 0.1
const HELD = [1.0, 0.6, 0.4]

// Counts of one, two and three in a row, by one number made of theirs; the unknown one is −1.
const BASE = 16_384
const inOne = (...ids: number[]) => ids.reduce((all, id) => all * BASE + id + 1, 0)

class Counts {
  private readonly map = new Map<number, number>()
  add(weight: number, key: number) {
    this.map.set(key, this.get(key) + weight)
  }
  get(key: number) {
    return this.map.get(key) ?? 0
  }
}

export function inUnitsLike(units: CompletionContext['like']): (earlier: number, last: number) => Likely {
  const [ones, twos, threes, afterOne, afterTwo] = Array.from({ length: 5 }, () => new Counts())
  let total = 0
  const take = (ids: number[], weight: number) => {
    let [before, last] = [START, START]
    for (const id of [...ids, STOP]) {
      ones.add(weight, inOne(id))
      twos.add(weight, inOne(last, id))
      threes.add(weight, inOne(before, last, id))
      afterOne.add(weight, inOne(last))
      afterTwo.add(weight, inOne(before, last))
      total += weight
      ;[before, last] = [last, id]
    }
  }
  units.forEach(([likeness, ids]) => likeness >= LEAST && take(ids, 4 * likeness ** 2))
  const held = (weight: number, sum: number, kept: number, shorter: number) =>
    sum === 0 ? shorter : (weight + kept * shorter) / (sum + kept)
  return (earlier, last) => {
    const [sumOfTwos, sumOfThrees] = [afterOne.get(inOne(last)), afterTwo.get(inOne(earlier, last))]
    const [afterLast, afterBoth] = [inOne(last) * BASE + 1, inOne(earlier, last) * BASE + 1]
    return (id) => {
      const one = ones.get(id + 1) / (total + HELD[0])
      const two = held(twos.get(afterLast + id), sumOfTwos, HELD[1], one)
      return held(threes.get(afterBoth + id), sumOfThrees, HELD[2], two)
    }
  }
}

// Chooses from all that may follow the few offers that save most key presses: the first costs one key to
// take, each place down the list one more. As the core does it (Glossema::Completion::Choice).
import type { Found, Offer } from './ahead'
import { isBlank } from './tokens'

// So many of the weightiest are looked at.
const LOOKED_AT = 80

// What an offer is expected to save at a place beyond those chosen before: where a longer one holds it adds
// nothing, where a shorter one holds only what it has more.
function gain({ text, likely }: Offer, place: number, earlier: Offer[]) {
  let [saved, left] = [0, likely]
  earlier.forEach((other, at) => {
    if (text.startsWith(other.text)) saved = Math.max(saved, other.text.length - 1 - at)
    else if (other.text.startsWith(text)) left -= other.likely
  })
  return Math.max(left, 0) * (text.length - 1 - place - saved)
}

export function chosen(found: Found, limit: number): Offer[] {
  let rest = Array.from(found, ([text, [likely, kind]]): Offer => ({ text, kind, likely }))
    .filter(({ text }) => !isBlank(text))
    .toSorted((one, other) => other.likely * other.text.length - one.likely * one.text.length)
    .slice(0, LOOKED_AT)
  const taken: Offer[] = []
  while (taken.length < limit && rest.length) {
    const gains = rest.map((one) => gain(one, taken.length, taken))
    const best = gains.reduce((top, value, at) => (value > gains[top] ? at : top), 0)
    if (gains[best] <= 0) break
    taken.push(rest[best])
    rest = rest.toSpliced(best, 1)
  }
  return taken
}

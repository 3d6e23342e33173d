// Today's source with what a memory had instead.
import type { Difference } from './types'

export type Marked = { text: string; mark: 'same' | 'gone' | 'new' }

// Gone words struck through, new ones marked.
export function markDifferences(source: string, differences: Difference[]): Marked[] {
  const letters = Array.from(source)
  const slice = (from: number, to: number) => letters.slice(from, to).join('')
  const stretches: Marked[] = []
  let at = 0
  for (const difference of differences) {
    if ((difference.source ?? difference.memory ?? '').match(/^\{\/?\d+\/?\}$/)) continue
    const [from, to] = difference.source_span
    if (from > at) stretches.push({ text: slice(at, from), mark: 'same' })
    if (difference.memory) stretches.push({ text: difference.memory, mark: 'gone' })
    if (difference.source) stretches.push({ text: slice(from, to), mark: 'new' })
    at = Math.max(at, to)
  }
  stretches.push({ text: slice(at, letters.length), mark: 'same' })
  return joined(stretches.filter((one) => one.text))
}

// New words that stand side by side are marked as one stretch.
function joined(stretches: Marked[]): Marked[] {
  const out: Marked[] = []
  for (const one of stretches) {
    const [before, last] = out.slice(-2)
    if (one.mark === 'new' && last?.mark === 'same' && !last.text.trim() && before?.mark === 'new')
      out.splice(-2, 2, { text: before.text + last.text + one.text, mark: 'new' })
    else out.push(one)
  }
  return out
}

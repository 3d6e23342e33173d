// A text with what differs from another marked: what the other had is struck through, what is new stands out.
import { markDifferences, type Marked } from '../differences'
import type { Difference } from '../types'

const MARKS = { same: 'span', gone: 'del', new: 'ins' } as const

export function Differing({ text, differences }: { text: string; differences: Difference[] }) {
  const marked = markDifferences(text, differences)
  return (
    <span className="compare">
      {marked.map((one, index) => (
        <Stretch key={index} now={one} before={marked[index - 1]} />
      ))}
    </span>
  )
}

// Words that stand side by side only through a difference are kept apart.
function Stretch({ now, before }: { now: Marked; before?: Marked }) {
  const Mark = MARKS[now.mark]
  const onlyApartByDifference = before && before.mark !== 'same' && now.mark !== 'same'
  return (
    <>
      {onlyApartByDifference && ' '}
      <Mark>{now.text}</Mark>
    </>
  )
}

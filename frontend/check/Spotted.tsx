// A text with spots marked in it.
import type { ReactNode } from 'react'

export function Spotted({ text, spans }: { text: string; spans: [number, number][] }) {
  const letters = Array.from(text)
  const parts: ReactNode[] = []
  let at = 0
  for (const [from, to] of spans.toSorted((one, other) => one[0] - other[0])) {
    if (from < at) continue
    parts.push(letters.slice(at, from).join(''))
    parts.push(<mark key={from}>{letters.slice(from, to).join('')}</mark>)
    at = to
  }
  parts.push(letters.slice(at).join(''))
  return <>{parts}</>
}

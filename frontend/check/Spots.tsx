// A plain text with stretches of it marked.
import type { ReactNode } from 'react'
import type { Span } from './queries'

export function Spots({ text, spans }: { text: string; spans: Span[] }) {
  const letters = Array.from(text)
  const parts: ReactNode[] = []
  let at = 0
  for (const [from, to] of spans.toSorted((one, other) => one[0] - other[0])) {
    if (from < at) continue
    parts.push(letters.slice(at, from).join(''), <mark key={from}>{letters.slice(from, to).join('')}</mark>)
    at = to
  }
  parts.push(letters.slice(at).join(''))
  return <>{parts}</>
}

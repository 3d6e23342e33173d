// A content with its codes as tokens, to read. Changed stretches of the text, [from, to] in its letters, are
// marked.
import { Fragment, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { parts, textOf } from './content'
import type { Code } from './types'

// A stretch of the text, marked: as it was, or of a kind that has a look of its own.
export interface Marked {
  from: number
  to: number
  was?: string
  kind?: string
}

export function Written({
  value,
  codes,
  changes = [],
}: {
  value: string
  codes: Code[]
  changes?: Marked[]
}) {
  const { t } = useTranslation()
  const list = parts(value)
  const lengths = list.map((part) => Array.from(textOf(part, codes)).length)
  const starts = lengths.map((_, index) => lengths.slice(0, index).reduce((sum, one) => sum + one, 0))
  return (
    <>
      {list.map((part, index) => {
        if ('text' in part)
          return <Fragment key={index}>{marked(part.text, starts[index], changes)}</Fragment>
        const display = codes.find((code) => code.id === part.id)?.display ?? ''
        return (
          <span
            key={index}
            className={`token ${part.kind}`}
            title={t('translate.code', { id: part.id, display })}
          >
            {part.kind === 'close' ? `/${part.id}` : part.id}
            <span className="hidden-text">{display}</span>
          </span>
        )
      })}
    </>
  )
}

function marked(text: string, start: number, changes: Marked[]): ReactNode {
  const inside = changes.filter((change) => change.to > start && change.from < start + text.length)
  if (!inside.length) return text
  const letters = Array.from(text)
  const out: ReactNode[] = []
  let at = 0
  for (const change of inside) {
    const [from, to] = [Math.max(change.from - start, at), Math.min(change.to - start, letters.length)]
    out.push(
      letters.slice(at, from).join(''),
      <mark key={from} title={change.was} className={change.kind}>
        {letters.slice(from, to).join('')}
      </mark>,
    )
    at = to
  }
  return [...out, letters.slice(at).join('')]
}

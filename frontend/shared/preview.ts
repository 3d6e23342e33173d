// Content as a page shows it: its text as HTML, codes as what they do.
import { parts, type CodePart } from './content'
import type { Code } from './types'

const TAGS: Record<string, string> = {
  bold: 'b',
  italic: 'i',
  underline: 'u',
  strike: 's',
  super: 'sup',
  sub: 'sub',
  mono: 'code',
}
const html = (text: string) =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/\n/g, '<br>')

// “color-ff0000”, “color-yellow”.
function coloured(word: string): string | null {
  const colour = /^color-(\w+)$/.exec(word)?.[1]
  if (!colour) return null
  return `span style="color: ${/^[\da-f]{6}$/.test(colour) ? `#${colour}` : colour}"`
}

const tagsOf = (code?: Code) =>
  (code?.css ?? '')
    .split(' ')
    .filter((word) => /^[\w-]+$/.test(word))
    .map((word) => TAGS[word] ?? coloured(word) ?? `span class="${word}"`)
const closing = (tags: string[] = []) =>
  tags
    .toReversed()
    .map((tag) => `</${tag.split(' ')[0]}>`)
    .join('')
const STANDS_FOR: Record<string, string> = { '\n': '<br>', '\t': '&emsp;' }

function alone(code?: Code): string {
  const shown = STANDS_FOR[code?.equiv ?? '']
  if (shown) return shown
  return code?.css === 'hidden' ? '' : `<span class="code">${html(code?.display ?? '')}</span>`
}

export function toHtml(value: string, codes: Code[]): string {
  const open: string[][] = []
  const shown = (part: CodePart) => {
    const code = codes.find((one) => one.id === part.id)
    if (part.kind === 'alone') return alone(code)
    if (part.kind === 'close') return closing(open.pop())
    const tags = tagsOf(code)
    open.push(tags)
    return tags.map((tag) => `<${tag}>`).join('')
  }
  const text = parts(value)
    .map((part) => ('text' in part ? html(part.text) : shown(part)))
    .join('')
  return text + open.toReversed().map(closing).join('')
}

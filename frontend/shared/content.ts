// The written form of content as the core gives it: text with {1} … {/1} and {2/}, a backslash before a
// literal brace.
import type { Code, Difference } from './types'

export type Part = { text: string } | { id: number; kind: 'open' | 'close' | 'alone' }

const WRITTEN = /\\([\s\S])|\{(\d+)\}|\{\/(\d+)\}|\{(\d+)\/\}/g

export function parts(written: string): Part[] {
  const list: Part[] = []
  let text = ''
  let rest = 0
  const flush = () => {
    if (text) list.push({ text })
    text = ''
  }
  for (const match of written.matchAll(WRITTEN)) {
    text += written.slice(rest, match.index)
    rest = match.index + match[0].length
    if (match[1] !== undefined) {
      text += match[1]
      continue
    }
    flush()
    const [, , open, close, alone] = match
    list.push({ id: Number(open ?? close ?? alone), kind: open ? 'open' : close ? 'close' : 'alone' })
  }
  text += written.slice(rest)
  flush()
  return list
}

export const escape = (text: string) => text.replace(/[{\\]/g, '\\$&')

export const written = (part: Part) =>
  'text' in part
    ? escape(part.text)
    : part.kind === 'open'
      ? `{${part.id}}`
      : part.kind === 'close'
        ? `{/${part.id}}`
        : `{${part.id}/}`

export const plain = (value: string, codes: Code[] = []) =>
  parts(value)
    .map((part) =>
      'text' in part
        ? part.text
        : part.kind === 'alone'
          ? (codes.find((code) => code.id === part.id)?.equiv ?? '')
          : '',
    )
    .join('')

// Every code a source has, in order: what a target must hold.
export const codeParts = (source: string) =>
  parts(source).filter((part): part is Exclude<Part, { text: string }> => !('text' in part))

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

// For the preview: codes as what they do.
export function toHtml(value: string, codes: Code[]): string {
  const open: string[][] = []
  let out = ''
  for (const part of parts(value)) {
    if ('text' in part) {
      out += html(part.text)
      continue
    }
    const code = codes.find((one) => one.id === part.id)
    if (part.kind === 'open') {
      const tags = (code?.css ?? '')
        .split(' ')
        .filter(Boolean)
        .map((word) => TAGS[word] ?? `span class="${word}"`)
      open.push(tags)
      out += tags.map((tag) => `<${tag}>`).join('')
    } else if (part.kind === 'close') {
      out += (open.pop() ?? [])
        .slice()
        .reverse()
        .map((tag) => `</${tag.split(' ')[0]}>`)
        .join('')
    } else if (code?.equiv === '\n') out += '<br>'
    else if (code?.equiv === '\t') out += '&emsp;'
    else if (code?.css !== 'hidden') out += `<span class="code">${html(code?.display ?? '')}</span>`
  }
  while (open.length)
    out += (open.pop() ?? [])
      .slice()
      .reverse()
      .map((tag) => `</${tag.split(' ')[0]}>`)
      .join('')
  return out
}

export type Marked = { text: string; mark: 'same' | 'gone' | 'new' }

// Today's source with what the memory had instead: gone words struck through, new ones marked.
export function markDifferences(source: string, differences: Difference[]): Marked[] {
  const letters = Array.from(source)
  const slice = (from: number, to: number) => letters.slice(from, to).join('')
  const list: Marked[] = []
  let at = 0
  for (const difference of differences) {
    if ((difference.source ?? difference.memory ?? '').match(/^\{\/?\d+\/?\}$/)) continue
    const [from, to] = difference.source_span
    if (from > at) list.push({ text: slice(at, from), mark: 'same' })
    if (difference.memory) list.push({ text: difference.memory, mark: 'gone' })
    if (difference.source) list.push({ text: slice(from, to), mark: 'new' })
    at = Math.max(at, to)
  }
  list.push({ text: slice(at, letters.length), mark: 'same' })
  return joined(list.filter((one) => one.text))
}

// New words that stand side by side are marked as one stretch.
function joined(list: Marked[]): Marked[] {
  const out: Marked[] = []
  for (const one of list) {
    const [before, last] = out.slice(-2)
    if (one.mark === 'new' && last?.mark === 'same' && !last.text.trim() && before?.mark === 'new')
      out.splice(-2, 2, { text: before.text + last.text + one.text, mark: 'new' })
    else out.push(one)
  }
  return out
}

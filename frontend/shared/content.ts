// The written form of content as the core gives it: text with {1} … {/1} and {2/}, a backslash before a
// literal brace.
import type { Code } from './types'

export interface CodePart {
  id: number
  kind: 'open' | 'close' | 'alone'
}
export type Part = { text: string } | CodePart

const WRITTEN = /\\([\s\S])|\{(\d+)\}|\{\/(\d+)\}|\{(\d+)\/\}/g

const kindOf = (open?: string, close?: string) => {
  if (open) return 'open'
  return close ? 'close' : 'alone'
}

export function parts(form: string): Part[] {
  const list: Part[] = []
  let text = ''
  let rest = 0
  const flush = () => {
    if (text) list.push({ text })
    text = ''
  }
  for (const match of form.matchAll(WRITTEN)) {
    text += form.slice(rest, match.index)
    rest = match.index + match[0].length
    if (match[1] !== undefined) {
      text += match[1]
      continue
    }
    flush()
    const [, , open, close, alone] = match
    list.push({ id: Number(open ?? close ?? alone), kind: kindOf(open, close) })
  }
  text += form.slice(rest)
  flush()
  return list
}

export const escape = (text: string) => text.replace(/[{\\]/g, '\\$&')

const CODE_FORMS = { open: '', close: '/', alone: '' }

export function written(part: Part): string {
  if ('text' in part) return escape(part.text)
  return `{${CODE_FORMS[part.kind]}${part.id}${part.kind === 'alone' ? '/' : ''}}`
}

// What a part reads as: of codes, what they stand for.
export function textOf(part: Part, codes: Code[] = []): string {
  if ('text' in part) return part.text
  return part.kind === 'alone' ? (codes.find((code) => code.id === part.id)?.equiv ?? '') : ''
}

export const plain = (value: string, codes: Code[] = []) =>
  parts(value)
    .map((part) => textOf(part, codes))
    .join('')

// What no document can hold: control characters, and code points that stand for no character.
const UNHOLDABLE = /[^\P{Cc}\t\n\r\u007F-\u009F]|[\uFFFE\uFFFF]/gu

export const holdable = (text: string) => text.replace(UNHOLDABLE, '')

// Every code a source has, in order: what a target must hold.
export const codeParts = (source: string) =>
  parts(source).filter((part): part is CodePart => !('text' in part))

// The inline code that may come next: the first of the source's that is still missing, the likelier the more
// the position is like its position in the source. The core computes the same (Glossema::Completion::Codes);
// both share core/spec/cases/next_code.json.
import { missingParts } from '../../shared/balance'
import { parts, textOf, written, type CodePart, type Part } from '../../shared/content'

const [AT_START, AT_END, IN_PLACE, ANYWHERE] = [0.7, 0.5, 0.4, 0.05]
const ENDED = /[.!?:…。！？]["”’»)]*\s*$/u
// The last word, figure or mark before a code.
const LAST = /(?:[\p{L}\p{M}\p{N}]+|[^\s\p{L}\p{M}\p{N}])\s*$/u

const textIn = (list: Part[]) => list.map((part) => textOf(part)).join('')
const wordsIn = (list: Part[]) => textIn(list).match(/[\p{L}\p{M}\p{N}]+/gu)?.length ?? 0
const isCode = (part: Part, code: string) => !('text' in part) && written(part) === code

// source, target: written forms, the target up to the caret. The code and how likely it comes next.
export function nextCode(source: string, target: string): [code: CodePart, likely: number] | null {
  const [code] = missingParts(source, target)
  if (!code) return null
  const typed = parts(target)
  // Only a closing code stands right after a letter.
  if (code.kind !== 'close' && /[\p{L}\p{M}\p{N}]$/u.test(textIn(typed))) return null
  const all = parts(source)
  const at = all.findIndex((part) => isCode(part, written(code)))
  return [code, likelihood(code, all.slice(0, at), all.slice(at + 1), typed)]
}

function likelihood(code: CodePart, before: Part[], after: Part[], typed: Part[]) {
  if (!textIn(before).trim()) return textIn(typed).trim() ? ANYWHERE : AT_START
  if (atEnd(before, after, typed)) return AT_END
  const inPlace = code.kind === 'close' ? filled(code, before, typed) : sameBefore(before, typed)
  return inPlace ? IN_PLACE : ANYWHERE
}

function atEnd(before: Part[], after: Part[], typed: Part[]) {
  return wordsIn(after) === 0 && ENDED.test(textIn(typed)) && ENDED.test(textIn(before))
}

// Are there as many words since the opening code as in the source?
function filled(code: CodePart, before: Part[], typed: Part[]) {
  const opening = written({ ...code, kind: 'open' })
  const since = (list: Part[]) => list.slice(list.findLastIndex((part) => isCode(part, opening)) + 1)
  const words = wordsIn(since(typed))
  return words > 0 && words >= wordsIn(since(before))
}

function sameBefore(before: Part[], typed: Part[]) {
  const last = LAST.exec(textIn(before))?.[0].trim()
  return last !== undefined && LAST.exec(textIn(typed))?.[0].trim() === last
}

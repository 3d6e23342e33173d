// What may come into the translation as a whole: terms, what is carried over, and what of the source is no
// word. As the core does it (Glossema::Completion::Things).
import type { Found, Thing } from './ahead'

// A letter typed of it makes it so much likelier, up to the surest.
const BEGUN = 0.25
const LETTER = 0.12
const SURE = 0.9
const AT_ONCE = 0.6
// Before it stands nothing, a space or one of these.
const BEFORE = /[ \t\r\n\f\v"“„«([<>'’]$/u

const times = (text: string, part: string) => text.split(part).length - 1

function usedUp(text: string, source: string, prefix: string) {
  const there = times(prefix, text)
  return there > 0 && there >= Math.max(times(source, text), 1)
}

const begins = (prefix: string, typed: number) =>
  prefix.length === typed || BEFORE.test(prefix.slice(0, -typed))

// What is left of it after the prefix, and how likely that is.
function continued([text, , likelihood]: Thing, source: string, prefix: string): [string, number] | null {
  for (let typed = Math.min(text.length - 1, prefix.length); typed > 0; typed -= 1) {
    if (prefix.endsWith(text.slice(0, typed)) && (typed > 2 || begins(prefix, typed)))
      return [text.slice(typed), Math.min(BEGUN + LETTER * typed, SURE)]
  }
  if (prefix === '') return [text, source.startsWith(text) ? AT_ONCE : likelihood]
  return BEFORE.test(prefix) ? [text, likelihood] : null
}

// {rest of a thing → [how likely, kind]} after what is typed.
export function thingsAfter(things: Thing[], source: string, prefix: string): Found {
  const found: Found = new Map()
  for (const thing of things) {
    if (usedUp(thing[0], source, prefix)) continue
    const [rest, likelihood] = continued(thing, source, prefix) ?? ['', 0]
    if (likelihood > (found.get(rest)?.[0] ?? 0)) found.set(rest, [likelihood, thing[1]])
  }
  return found
}

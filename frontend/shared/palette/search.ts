// The search of the palette and the guide: names and their synonyms in both languages, by the beginnings of words
// and with one typing fault.
import MiniSearch from 'minisearch'
import SYNONYMS from './synonyms.json'

export interface Searchable {
  // The key of its text, by which synonyms are found.
  id?: string
  name: string
}

const MARKS = /\p{M}/gu
const plain = (word: string) => word.normalize('NFD').replace(MARKS, '').toLowerCase()

export const synonymsOf = (id?: string) => (id && (SYNONYMS as Record<string, string[]>)[id]) || []

// What is typed may have one fault from four letters on; shorter words would be found everywhere.
const faultsIn = (term: string) => (term.length > 3 ? 1 : false)

export const searchOf = (fields: string[]) =>
  new MiniSearch({
    fields,
    processTerm: plain,
    searchOptions: { combineWith: 'AND', prefix: true, fuzzy: faultsIn },
  })

// Commands that have the words as a synonym.
export const commandsMeant = (words: string) =>
  Object.entries(SYNONYMS)
    .filter(([, lists]) => lists.some((list) => list.split(', ').map(plain).includes(plain(words.trim()))))
    .map(([id]) => id)

// Those that match all words typed, the best first; all of them, in their order, where nothing is typed.
export function ranked<T extends Searchable>(entries: T[], typed: string): T[] {
  const words = typed.trim()
  if (!words) return entries
  const index = searchOf(['name', 'synonyms'])
  index.addAll(entries.map(({ id, name }, at) => ({ id: at, name, synonyms: synonymsOf(id).join(', ') })))
  const whole = plain(words)
  const boostDocument = (at: number) => closeness(entries[at], whole)
  const found = [words, ...swapped(words)]
    .map((query) => index.search(query, { boost: { name: 2 }, boostDocument }))
    .find((results) => results.length > 0)
  return (found ?? []).map(({ id }) => entries[id as number])
}

// What is typed with two neighbouring letters in the other order, which counts as one fault of typing.
function swapped(words: string): string[] {
  const pairs = Array.from({ length: Math.max(words.length - 1, 0) }, (_, at) => at)
  return pairs
    .filter((at) => !words.slice(at, at + 2).includes(' '))
    .map((at) => words.slice(0, at) + words[at + 1] + words[at] + words.slice(at + 2))
}

// A name that is or begins with what is typed comes before one that has it somewhere; so does a synonym.
function closeness({ id, name }: Searchable, whole: string): number {
  const named = plain(name)
  if (named === whole) return 8
  const synonyms = synonymsOf(id).flatMap((list) => list.split(', ').map(plain))
  if (synonyms.includes(whole)) return 4
  if (named.startsWith(whole)) return 3
  return synonyms.some((one) => one.startsWith(whole)) ? 2 : 1
}

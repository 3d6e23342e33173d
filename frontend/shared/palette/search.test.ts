import { describe, expect, it } from 'vitest'
import en from '../texts/en.json'
import it_ from '../texts/it.json'
import { OUR_KEYS } from '../keys'
import { IN_PROJECT, PLACES } from './anywhere'
import { ranked } from './search'
import SYNONYMS from './synonyms.json'
import WORDS from './words.json'

type Texts = { [key: string]: string | Texts }
const textOf = (texts: Texts, id: string): string =>
  id.split('.').reduce<string | Texts>((at, key) => (at as Texts)[key], texts) as string

// All that the palette can offer at once, as in Translate.
const MENU = ['guide.title', 'rules.title', 'account.title', 'keys.title', 'machine.title', 'backups.title']
const OTHERS = ['trash.title', 'app.dark', 'app.light', 'app.signOut', 'filter.clear']
const STAGES = ['brief', 'count', 'translate', 'check', 'review', 'deliver'].map((stage) => `stages.${stage}`)
const ACTS = ['projects.finishThis', 'projects.deleteThis']
const IDS = [
  ...Object.keys(OUR_KEYS).map((command) => `commands.${command}`),
  ...[...PLACES, ...IN_PROJECT].map(([id]) => id),
  ...MENU,
  ...OTHERS,
  ...STAGES,
  ...ACTS,
]

const cases = (table: string) =>
  table.split('; ').flatMap((line) =>
    line
      .split('=')[0]
      .split(', ')
      .map((word) => [word, line.split('=')[1]] as const),
  )

describe.each([
  ['en', en as Texts],
  ['it', it_ as Texts],
] as const)('the palette in %s', (language, texts) => {
  const entries = IDS.map((id) => ({ id, name: textOf(texts, id) }))

  it.each(cases(WORDS[language]))('finds “%s” as %s among the first three', (word, id) => {
    const first = ranked(entries, word).slice(0, 3)
    expect(first.map((one) => one.id)).toContain(id)
  })

  it('finds every command by its whole name', () => {
    const lost = entries.filter(({ id, name }) => !ranked(entries, name).some((one) => one.id === id))
    expect(lost).toEqual([])
  })
})

it('tries at least 120 words', () => {
  expect(cases(WORDS.en).length + cases(WORDS.it).length).toBeGreaterThan(120)
})

it('has synonyms only for what there is', () => {
  const known = new Set(IDS)
  const named = (id: string) => known.has(id) || typeof textOf(en as Texts, id) === 'string'
  expect(Object.keys(SYNONYMS).filter((id) => !named(id))).toEqual([])
})

// Conditions as a sentence, word by word: each part says one of them, and can be changed or left out by itself.
import { useTranslation } from 'react-i18next'
import { ANYTHING, type Conditions } from './conditions'

export type Part =
  | 'text'
  | 'states'
  | 'origins'
  | 'score'
  | 'length'
  | 'repeats'
  | 'noted'
  | 'termed'
  | 'finding'
  | 'by'
  | 'since'
  | 'order'

// What each part is about.
const FIELDS: Record<Part, (keyof Conditions)[]> = {
  text: ['text', 'side', 'cased', 'expression'],
  states: ['states'],
  origins: ['origins'],
  score: ['scoreFrom', 'scoreTo'],
  length: ['lengthFrom', 'lengthTo'],
  repeats: ['repeats'],
  noted: ['noted'],
  termed: ['termed'],
  finding: ['finding'],
  by: ['by'],
  since: ['since'],
  order: ['order'],
}

export const without = (conditions: Conditions, part: Part): Conditions => ({
  ...conditions,
  ...Object.fromEntries(FIELDS[part].map((field) => [field, ANYTHING[field]])),
})

export function useSentence(conditions: Conditions): { part: Part; words: string }[] {
  const { t } = useTranslation()
  const { text, side, states, origins, scoreFrom, scoreTo, repeats, noted } = conditions
  const { lengthFrom, lengthTo, expression, by, since, termed, finding, order } = conditions
  const or = ` ${t('filter.or')} `
  const lengthSaid = lengthTo === null ? 'filter.said.longer' : 'filter.said.length'
  const said: Record<Part, string | false | null> = {
    text:
      text && t(`filter.said.${expression ? 'pattern' : side}`, { text, side: t(`filter.sides.${side}`) }),
    states: states.map((state) => t(`states.${state}`)).join(or),
    origins: origins.map((origin) => t(`filter.origins.${origin}`)).join(or),
    score:
      (scoreFrom !== null || scoreTo !== null) &&
      t('filter.said.score', { from: scoreFrom ?? 0, to: scoreTo ?? 100 }),
    length:
      (lengthFrom !== null || lengthTo !== null) && t(lengthSaid, { from: lengthFrom ?? 0, to: lengthTo }),
    repeats: repeats !== 'all' && t(`filter.repeats.${repeats}`),
    noted: noted && t('filter.noted'),
    termed: termed && t('filter.termed'),
    finding: finding && t(`filter.findings.${finding}`),
    by: by && t('filter.said.by', { by }),
    since: since !== 'ever' && t(`filter.since.${since}`),
    order: order !== 'document' && t(`filter.orders.${order}`),
  }
  return (Object.entries(said) as [Part, string | false | null][]).flatMap(([part, words]) =>
    words ? [{ part, words }] : [],
  )
}

// Terms and figures of the open segment: marked in its source, put in by key.
import { useQuery } from '@tanstack/react-query'
import { useMemo, type RefObject } from 'react'
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import type { Project, Segment } from '../../shared/types'
import type { TargetHandle } from '../editor/targetHandle'
import { termsQuery } from '../queries'
import { marksOf, pairsOf, stillToCome } from './terms'
import { useAddTerm } from './useAddTerm'

export interface TermParts {
  segment: Segment
  project: Project
  target: RefObject<TargetHandle | null>
  say: (text: string) => void
}

const NONE = { terms: [], carried: [] }

export function useTerms(parts: TermParts) {
  const { segment, target, say } = parts
  const { t } = useTranslation()
  const query = useQuery(termsQuery(segment.id))
  const { terms, carried } = query.data ?? NONE
  const pairs = useMemo(() => pairsOf(terms), [terms])
  const marks = useMemo(() => marksOf(terms, carried), [terms, carried])
  const add = useAddTerm(parts, () => void query.refetch())
  const missingIn = (value: string) => stillToCome(carried, plain(value, segment.codes))
  const putTerm = (number: number) => {
    const term = pairs[number - 1]?.usable[0]
    if (term) target.current?.insertWord(term.text, term.at_start)
  }
  const carry = () => {
    const next = missingIn(target.current?.value() ?? segment.target)[0]
    if (next) target.current?.insertWord(next.target)
    else say(t('terms.nothingToCome'))
  }
  return { pairs, marks, putTerm, carry, adding: add, toCome: missingIn(segment.target) }
}

// What the list of candidates asks of the server, and what is decided there.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { api } from '../../shared/api'
import { keys } from '../../shared/queryKeys'
import { begin } from '../../operations/follow'
import { isUnderWay } from '../../operations/queries'
import type { CandidateState, Operation, TermCandidate } from '../../shared/types'

export interface CandidateList {
  counts: Partial<Record<CandidateState, number>>
  search: Operation | null
  candidates: TermCandidate[]
}
// How often is asked while a search is under way, in ms.
const OFTEN = 700

export const useCandidates = (termbase: number, state: CandidateState) =>
  useQuery({
    queryKey: keys.candidates(termbase, state),
    queryFn: () => api.get<CandidateList>(`/termbases/${termbase}/candidates?state=${state}`),
    placeholderData: (old) => old,
    refetchInterval: ({ state: query }) => (isUnderWay(query.data?.search) ? OFTEN : false),
  })

export function useDecide(termbase: number) {
  const cache = useQueryClient()
  const refresh = () =>
    Promise.all(
      [keys.candidates(termbase), keys.termbase(termbase), keys.allTerms].map((queryKey) =>
        cache.invalidateQueries({ queryKey }),
      ),
    )
  const decide = async (candidate: number, decision: Record<string, unknown>) => {
    await api.patch<TermCandidate>(`/term_candidates/${candidate}`, decision)
    await refresh()
  }
  return { decide, refresh }
}

export const lookIn = (termbase: number, place: Record<string, unknown>) =>
  begin(`/termbases/${termbase}/candidates`, place)

export function lookInFile(termbase: number, file: File, languages: [string, string]) {
  const form = new FormData()
  form.append('file', file)
  form.append('source_lang', languages[0])
  form.append('target_lang', languages[1])
  return begin(`/termbases/${termbase}/candidates`, form)
}

// The list of words that no dictionary knows: what it asks of the server.
import { useQuery } from '@tanstack/react-query'
import { api } from '../../shared/api'
import { useProjectNews } from '../../shared/live'
import { keys } from '../../shared/queryKeys'
import { lookFor, writeChanges } from '../../translate/replace/queries'

export interface WordPlace {
  segment_id: number
  number: number
  file: string
  text: string
  from: number
  to: number
}
export interface UnknownWord {
  word: string
  count: number
  places: WordPlace[]
}
interface Answer {
  there: boolean
  words: UnknownWord[]
}

const NEWS = ['segments', 'recut']

export function useUnknownWords(project: number) {
  const query = useQuery({
    queryKey: keys.misspellings(project),
    queryFn: () => api.get<Answer>(`/projects/${project}/misspellings`),
    refetchOnMount: 'always',
  })
  useProjectNews(project, ({ event }) => {
    if (NEWS.includes(event)) void query.refetch()
  })
  return query
}

export const useSuggestions = (project: number, word: string, wanted: boolean) =>
  useQuery({
    queryKey: keys.suggestions(project, word),
    enabled: wanted,
    queryFn: () =>
      api.get<{ suggestions: string[] }>(`/projects/${project}/spelling?${new URLSearchParams({ word })}`),
  })

export const learn = (project: number, word: string, where: string) =>
  api.patch(`/projects/${project}/spelling`, { word, where })

// In all segments that have the word as it is written; what was confirmed stays confirmed.
export async function correctEverywhere(project: number, word: string, right: string) {
  const asked = { find: word, with: right, regex: false, cased: true, words: true }
  const { places } = await lookFor(project, asked)
  return writeChanges(project, {
    ...asked,
    take: places.map(({ id }) => id),
    confirmed: 'stay',
  })
}

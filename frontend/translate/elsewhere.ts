// What other servers are doing about the open segment and about words that are looked up: asked for by
// itself, so that a slow one holds up nothing. The cable tells when there is more.
import { useQuery, type QueryClient } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Hit } from '../shared/types'
import { isEnough, type Asked } from './asked'

export interface FarSource {
  name: string
  state: 'answered' | 'asking' | 'failed'
  said: string | null
}
interface FarHits {
  sources: FarSource[]
  hits: Hit[]
}
// Asked again this often while something is on its way, should the cable be down.
const AGAIN = 4000
const anyAsking = (sources: FarSource[] | undefined) => !!sources?.some((one) => one.state === 'asking')
const SETTLED = 60_000

// A server answered about some segments: what is known of them is asked for anew.
export function heardFromElsewhere(cache: QueryClient, segments: number[]) {
  const changed = segments.flatMap((id) => [keys.elsewhere(id), keys.proposals(id), keys.terms(id)])
  for (const queryKey of [keys.farConcordances, ...changed]) void cache.invalidateQueries({ queryKey })
}

export function useElsewhere(segment: number): FarSource[] {
  const { data } = useQuery({
    queryKey: keys.elsewhere(segment),
    queryFn: () => api.get<{ sources: FarSource[] }>(`/segments/${segment}/elsewhere`),
    staleTime: SETTLED,
    retry: false,
    refetchInterval: (query) => (anyAsking(query.state.data?.sources) ? AGAIN : false),
  })
  return data?.sources ?? []
}

export const useFarConcordance = (project: number, { text, side, way }: Asked) =>
  useQuery({
    queryKey: keys.farConcordance(project, text, side, way),
    enabled: isEnough(text),
    retry: false,
    queryFn: () =>
      api.get<FarHits>(`/projects/${project}/far_concordance?${new URLSearchParams({ text, side, way })}`),
    refetchInterval: (query) => (anyAsking(query.state.data?.sources) ? AGAIN : false),
  })

export const withFar = (found: { hits: Hit[]; more: boolean }, far: FarHits | undefined) => ({
  ...found,
  hits: [...found.hits, ...(far?.hits ?? [])],
})

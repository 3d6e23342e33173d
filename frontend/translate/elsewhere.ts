// What other servers are doing about the open segment and about words that are looked up: asked for by itself, so
// that a slow one holds up nothing. The cable tells when there is more.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { api } from '../shared/api'
import { useProjectNews } from '../shared/live'
import { keys } from '../shared/queryKeys'
import type { Hit } from '../shared/types'
import type { Asked } from './queries'
import { isEnough } from './queries'

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

export function useElsewhere(project: number, segment: number): FarSource[] {
  const cache = useQueryClient()
  useProjectNews(project, (news) => {
    if (news.event !== 'elsewhere' || !news.ids?.includes(segment)) return
    for (const queryKey of [keys.elsewhere(segment), keys.proposals(segment), keys.terms(segment)])
      void cache.invalidateQueries({ queryKey })
  })
  const { data } = useQuery({
    queryKey: keys.elsewhere(segment),
    queryFn: () => api.get<{ sources: FarSource[] }>(`/segments/${segment}/elsewhere`),
    staleTime: SETTLED,
    retry: false,
    refetchInterval: (query) => (anyAsking(query.state.data?.sources) ? AGAIN : false),
  })
  return data?.sources ?? []
}

export function useFarConcordance(project: number, { text, side, way }: Asked) {
  const cache = useQueryClient()
  useProjectNews(project, (news) => {
    if (news.event === 'elsewhere') void cache.invalidateQueries({ queryKey: keys.farConcordances })
  })
  return useQuery({
    queryKey: keys.farConcordance(project, text, side, way),
    enabled: isEnough(text),
    retry: false,
    queryFn: () =>
      api.get<FarHits>(`/projects/${project}/far_concordance?${new URLSearchParams({ text, side, way })}`),
    refetchInterval: (query) => (anyAsking(query.state.data?.sources) ? AGAIN : false),
  })
}

export const withFar = (found: { hits: Hit[]; more: boolean }, far: FarHits | undefined) => ({
  ...found,
  hits: [...found.hits, ...(far?.hits ?? [])],
})

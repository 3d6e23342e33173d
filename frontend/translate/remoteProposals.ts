// What other servers are doing about the open segment and about words that are looked up: asked for by
// itself, so that a slow one holds up nothing. The cable tells when there is more.
import { useQuery, type QueryClient } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Hit } from '../shared/types'
import { isEnough, type Asked } from './asked'

export interface RemoteSource {
  name: string
  state: 'answered' | 'asking' | 'failed'
  said: string | null
}
interface RemoteHits {
  sources: RemoteSource[]
  hits: Hit[]
}
// Asked again this often while something is on its way, should the cable be down.
const AGAIN = 4000
const anyAsking = (sources: RemoteSource[] | undefined) => !!sources?.some((one) => one.state === 'asking')
const SETTLED = 60_000

// A server answered about some segments: what is known of them is asked for anew.
export function refreshRemoteProposals(cache: QueryClient, segments: number[]) {
  const changed = segments.flatMap((id) => [keys.remoteProposals(id), keys.proposals(id), keys.terms(id)])
  for (const queryKey of [keys.remoteConcordances, ...changed]) void cache.invalidateQueries({ queryKey })
}

export function useRemoteProposals(segment: number): RemoteSource[] {
  const { data } = useQuery({
    queryKey: keys.remoteProposals(segment),
    queryFn: () => api.get<{ sources: RemoteSource[] }>(`/segments/${segment}/remote_proposals`),
    staleTime: SETTLED,
    retry: false,
    refetchInterval: (query) => (anyAsking(query.state.data?.sources) ? AGAIN : false),
  })
  return data?.sources ?? []
}

export const useRemoteConcordance = (project: number, { text, side, way }: Asked) =>
  useQuery({
    queryKey: keys.remoteConcordance(project, text, side, way),
    enabled: isEnough(text),
    retry: false,
    queryFn: () =>
      api.get<RemoteHits>(
        `/projects/${project}/remote_concordance?${new URLSearchParams({ text, side, way })}`,
      ),
    refetchInterval: (query) => (anyAsking(query.state.data?.sources) ? AGAIN : false),
  })

export const withRemote = (found: { hits: Hit[]; more: boolean }, far: RemoteHits | undefined) => ({
  ...found,
  hits: [...found.hits, ...(far?.hits ?? [])],
})

// What Translate asks of the server.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import type { Finding } from '../check/queries'
import { api } from '../shared/api'
import { useProjectNews } from '../shared/live'
import { keys } from '../shared/queryKeys'
import type { Carry, FoundTerm, Hit, Proposal, Segment, TermEntry, PastVersion } from '../shared/types'
import { isEnough, type Asked } from './asked'
import { refreshRemoteProposals } from './remoteProposals'
import type { KnownContext } from './completion/ahead'

export interface Listing {
  documents: { id: number; name: string }[]
  segments: Segment[]
}

export const proposalsQuery = (segment: number) => ({
  queryKey: keys.proposals(segment),
  queryFn: () => api.get<{ proposals: Proposal[] }>(`/segments/${segment}/proposals`),
  staleTime: 0,
  gcTime: 300_000,
})

// Not asked again by itself: a service that failed is not to be hammered.
export const machineQuery = (segment: number) => ({
  queryKey: keys.machineOf(segment),
  queryFn: () => api.get<{ proposal: Proposal | null; more: Proposal[] }>(`/segments/${segment}/machine`),
  staleTime: 300_000,
  gcTime: 300_000,
  retry: false,
})

export const contextQuery = (segment: number) => ({
  queryKey: keys.context(segment),
  queryFn: () => api.get<KnownContext>(`/segments/${segment}/completion_context`),
  staleTime: 20_000,
  gcTime: 300_000,
})

export interface SegmentTerms {
  terms: FoundTerm[]
  carried: Carry[]
}

export const termsQuery = (segment: number) => ({
  queryKey: keys.terms(segment),
  queryFn: () => api.get<SegmentTerms>(`/segments/${segment}/terms`),
  staleTime: 20_000,
  gcTime: 300_000,
})

export interface Places {
  segments: number[]
  renderings: { term: string | null; segments: number[] }[]
}
export const placesQuery = (project: number, entry: number) => ({
  queryKey: keys.places(project, entry),
  queryFn: () => api.get<Places>(`/projects/${project}/term_places?entry_id=${entry}`),
  staleTime: 0,
})

export interface AddedTerm {
  termbase: string
  made: 'new' | 'joined' | 'there' | 'likely' | 'sent'
  act: number | null
  entry: TermEntry | null
  likely: TermEntry[]
}
export const addPair = (project: number, pair: Record<string, unknown>) =>
  api.post<{ added: AddedTerm[] }>(`/projects/${project}/terms`, pair)

export const useEntry = (entry: number | null) =>
  useQuery({
    queryKey: keys.entry(entry ?? 0),
    enabled: entry !== null,
    queryFn: () => api.get<TermEntry>(`/term_entries/${entry}`),
    staleTime: 0,
  })

export function useListing(project: number) {
  const cache = useQueryClient()
  // Rules or a new version have cut the text anew.
  useProjectNews(project, (news) => {
    if (news.event === 'recut') void refreshText(cache, project)
    // Somebody changed a termbase of the project; before the page was connected it would not have heard of it.
    if (news.event === 'terms' || news.event === 'connected')
      void cache.invalidateQueries({ queryKey: keys.allTerms })
    if (news.event === 'elsewhere') refreshRemoteProposals(cache, news.ids ?? [])
    // A colleague confirmed something into a memory of it.
    if (news.event === 'learned') void cache.invalidateQueries({ queryKey: keys.allProposals })
    if (news.event === 'terms' || news.event === 'learned')
      void cache.invalidateQueries({ queryKey: keys.completion_contexts })
  })
  return useQuery({
    queryKey: keys.segments(project),
    queryFn: () => api.get<Listing>(`/projects/${project}/segments`),
    staleTime: Infinity,
    gcTime: 0,
    refetchOnReconnect: false,
  })
}

type Cache = ReturnType<typeof useQueryClient>

export const refreshText = (cache: Cache, project: number) =>
  Promise.all([
    cache.invalidateQueries({ queryKey: keys.segments(project) }),
    cache.invalidateQueries({ queryKey: keys.pages }),
  ])

export const usePage = (document: number) =>
  useQuery({
    queryKey: keys.page(document),
    queryFn: () => api.get<{ html: string }>(`/documents/${document}/page`),
    staleTime: Infinity,
  })

// beside: a version that the others are compared with.
export const usePast = (segment: Segment, beside: number | null) =>
  useQuery({
    queryKey: keys.past(segment.id, segment.version, beside),
    queryFn: () => api.get<PastVersion[]>(`/segments/${segment.id}/versions?beside=${beside ?? ''}`),
    placeholderData: (old) => old,
  })

type SegmentFinding = Pick<Finding, 'code' | 'level' | 'message' | 'fix'>

// As the segment reads on the server: again with each version.
export const useSegmentFindings = (segment: Segment) =>
  useQuery({
    queryKey: keys.segmentFindings(segment.id, segment.version),
    queryFn: () => api.get<{ findings: SegmentFinding[] }>(`/segments/${segment.id}/findings`),
    placeholderData: (old) => old,
  })

// What the checks find in a text that is not on the server yet.
export const findingsIn = async (segment: number, target: string) =>
  (await api.post<{ findings: SegmentFinding[] }>(`/segments/${segment}/findings`, { target })).findings

export const useConcordance = (project: number, { text, side, way }: Asked) =>
  useQuery({
    queryKey: keys.concordance(project, text, side, way),
    enabled: isEnough(text),
    placeholderData: (old) => old,
    queryFn: () =>
      api.get<{ hits: Hit[]; more: boolean }>(
        `/projects/${project}/concordance?${new URLSearchParams({ text, side, way })}`,
      ),
  })

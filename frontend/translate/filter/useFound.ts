// Which segments the server finds for conditions that only it can tell: regular expressions, who, since when.
import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { api } from '../../shared/api'
import { keys } from '../../shared/queryKeys'
import { useRested } from '../../shared/useRested'
import { askedOfServer, type Conditions } from './conditions'

interface SegmentFilter {
  segments: number[] | null
  authors: string[]
}

const ask = (project: number, asked: Record<string, string> | null) =>
  api.get<SegmentFilter>(`/projects/${project}/segment_filter?${new URLSearchParams(asked ?? {})}`)

const narrowingQuery = (project: number, asked: Record<string, string> | null) => ({
  queryKey: keys.narrowing(project, asked),
  queryFn: () => ask(project, asked),
  staleTime: 0,
  retry: false,
})

function useNarrowing(project: number, conditions: Conditions) {
  const asked = useRested(askedOfServer(conditions))
  return useQuery({ ...narrowingQuery(project, asked), enabled: asked !== null })
}

// null where nothing is asked of it; while it is asked, what it found before.
export function useFound(project: number, conditions: Conditions): ReadonlySet<number> | null {
  const { data } = useNarrowing(project, conditions)
  const asks = askedOfServer(conditions) !== null
  return useMemo(() => (asks && data?.segments ? new Set(data.segments) : null), [asks, data])
}

// Why an expression was refused, or null.
export const useRefusal = (project: number, conditions: Conditions) =>
  (useNarrowing(project, conditions).error as Error | null)?.message ?? null

export const useAuthors = (project: number) => useQuery(narrowingQuery(project, null)).data?.authors ?? []

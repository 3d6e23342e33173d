// What Check asks of the server.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { api } from '../shared/api'
import { useProjectNews } from '../shared/live'
import { keys } from '../shared/queryKeys'
import { begin } from '../operations/follow'
import type { Code, Operation, Segment, State } from '../shared/types'

export type Level = 'must-fix' | 'look'
export type StandPlace = 'here' | 'project' | 'client'
export type Span = [number, number]

export interface Finding {
  code: string
  level: Level
  message: string
  source: Span[]
  target: Span[]
  fix: string | null
  // The segment it names, of those seen across the text.
  other: number | null
  key: string
  segment_id: number
  number: number
  file: string
  state: State
  source_written: string
  target_written: string
  codes: Code[]
  group: string
  stands: { id: number; reason: string; author: string; created_at: string; place: StandPlace } | null
}
export interface Findings {
  findings: Finding[]
  checked: number
  left: number
  untranslated: number
  // The run over the whole text that is under way.
  run: Operation | null
  profile: 'project' | 'client' | 'default'
  client: string | null
  // Custom checks that took too long.
  given_up: string[]
}

const NEWS = ['segments', 'recut', 'terms', 'checked']

export function useFindings(project: number) {
  const refresh = useRefreshFindings(project)
  useProjectNews(project, ({ event }) => {
    if (NEWS.includes(event)) void refresh()
  })
  return useQuery({
    queryKey: keys.findings(project),
    queryFn: () => api.get<Findings>(`/projects/${project}/findings`),
    refetchOnMount: 'always',
  })
}

export function useRefreshFindings(project: number) {
  const cache = useQueryClient()
  return useCallback(() => cache.invalidateQueries({ queryKey: keys.findings(project) }), [cache, project])
}

export type Unify = 'here' | 'there' | 'everywhere'

export const putRight = (project: number, wanted: string[]) =>
  api.patch<Operation>(`/projects/${project}/findings`, { keys: wanted })
export const unify = (project: number, key: string, way: Unify) =>
  begin(`/projects/${project}/unifications`, { key, way })

export const letStand = (project: number, fields: { key: string; place: StandPlace; reason: string }) =>
  api.post<{ id: number }>(`/projects/${project}/ignored_findings`, fields)
export const standNoMore = (id: number) => api.delete(`/ignored_findings/${id}`)

export const checkAll = (project: number) => begin(`/projects/${project}/check_run`)

export const reportFile = (project: number) => `/api/projects/${project}/check_report`

export const useSegment = (id: number) =>
  useQuery({
    queryKey: keys.segment(id),
    queryFn: async () => (await api.get<{ segment: Segment }>(`/segments/${id}`)).segment,
    gcTime: 0,
  })

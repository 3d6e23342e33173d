// What Check asks of the server.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { api } from '../shared/api'
import { useProjectNews } from '../shared/live'
import { keys } from '../shared/queryKeys'
import type { State } from '../shared/types'

export interface Finding {
  code: string
  level: 'must-fix' | 'look'
  message: string
  source: [number, number][]
  target: [number, number][]
  fix: string | null
  key: string
  segment_id: number
  number: number
  file: string
  state: State
  source_text: string
  target_text: string
  group: string
  stands: { id: number; reason: string; author: string; all: boolean } | null
}
export interface Findings {
  findings: Finding[]
  checked: number
}

const NEWS = ['segments', 'recut', 'terms']

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

export const putRight = (project: number, wanted: string[]) =>
  api.patch<{ act: number; changed: number }>(`/projects/${project}/findings`, { keys: wanted })

export const takeBackFixes = (project: number, act: number) => api.delete(`/projects/${project}/acts/${act}`)

export const letStand = (project: number, fields: { key: string; all?: boolean; reason: string }) =>
  api.post<{ id: number }>(`/projects/${project}/let_stands`, fields)

export const standNoMore = (id: number) => api.delete(`/let_stands/${id}`)

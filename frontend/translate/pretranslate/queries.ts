// Translating ahead: what is asked of the server and how far it is.
import { useQuery } from '@tanstack/react-query'
import { api } from '../../shared/api'
import { keys } from '../../shared/queryKeys'
import type { ProjectAct } from '../../shared/types'

export interface Settings {
  threshold: number
  which: 'untouched' | 'unfinished'
  confirms: 'none' | 'context' | 'exact'
  machine: boolean
}
// How often is asked while it is under way, in ms.
const OFTEN = 600

export const isBusy = (act?: ProjectAct | null) =>
  act?.facts.state === 'looking' || act?.facts.state === 'writing'

export const useAhead = (id: number | null) =>
  useQuery({
    queryKey: keys.pretranslation(id ?? 0),
    enabled: id !== null,
    queryFn: () => api.get<ProjectAct>(`/pretranslations/${id}`),
    refetchInterval: ({ state }) => (isBusy(state.data) ? OFTEN : false),
  })

// segments: null for the whole project.
export const beginLook = (project: number, settings: Settings, segments: number[] | null) =>
  api.post<ProjectAct>(`/projects/${project}/pretranslations`, {
    ...settings,
    ...(segments ? { segment_ids: segments } : {}),
  })
export const writeIt = (act: number) => api.patch<ProjectAct>(`/pretranslations/${act}`, {})
export const dropIt = (act: number) => api.delete(`/pretranslations/${act}`)

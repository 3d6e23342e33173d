// What is almost the same in a text, or otherwise in the memories: what is asked of the server.
import { useQuery } from '@tanstack/react-query'
import { begin } from '../../operations/follow'
import { api } from '../../shared/api'
import { keys } from '../../shared/queryKeys'
import type { State } from '../../shared/types'
import type { Span } from '../queries'

export interface TwinSide {
  segment_id: number
  number: number
  file: string
  state: State
  source: string
  target: string
}
// today: in the texts of `other`; memory: in those of `one`.
interface Apart {
  op: string
  today: Span
  memory: Span
}
export interface Twin {
  score: number
  uneven: boolean
  one: TwinSide
  other: TwinSide
  source: Apart[]
  target: Apart[]
}
export interface Rival extends TwinSide {
  memory: string
  unit_id: number
  held: string
  author: string | null
  updated_at: string
}

export const takeHeld = (project: number, { segment_id, unit_id }: Rival) =>
  begin(`/projects/${project}/unifications`, { segment_id, unit_id })

export const useTwins = (project: number) =>
  useQuery({
    queryKey: keys.similarSegments(project),
    queryFn: async () => (await api.get<{ twins: Twin[] }>(`/projects/${project}/similar_segments`)).twins,
    refetchOnMount: 'always',
  })

export const useRivals = (project: number) =>
  useQuery({
    queryKey: keys.rivals(project),
    queryFn: async () => (await api.get<{ rivals: Rival[] }>(`/projects/${project}/memory_rivals`)).rivals,
    refetchOnMount: 'always',
  })

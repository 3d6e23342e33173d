// Alignments: what is asked of the server.
import { useQuery } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Alignment } from '../shared/types'

export type Side = 'source' | 'target'
export const SIDES: Side[] = ['source', 'target']
export interface Item {
  text: string
  block: string
}
export interface Bead {
  source: Item[]
  target: Item[]
  // null where it was put together by hand.
  probability: number | null
  state: 'confirmed' | 'left' | null
  set: boolean
  note: string
  doubtful: boolean
}
export interface AlignmentPage {
  alignment: Alignment
  beads: Bead[]
}
// A stretch of the beads that is another one now.
export interface Replaced {
  at: number
  count: number
  beads: Bead[]
}
export interface Edited {
  replaced: Replaced[]
  alignment: Alignment
}

const OFTEN = 1200
const BUSY = ['waiting', 'aligning', 'queued', 'running']
const isBusy = ({ state, gift }: Alignment) => BUSY.includes(state) || BUSY.includes(gift?.state ?? '')

export const useAlignments = () =>
  useQuery({
    queryKey: keys.alignments,
    queryFn: () => api.get<Alignment[]>('/alignments'),
    refetchInterval: ({ state }) => (state.data?.some(isBusy) ? OFTEN : false),
  })

export const useAlignment = (id: number) =>
  useQuery({
    queryKey: keys.alignment(id),
    queryFn: () => api.get<AlignmentPage>(`/alignments/${id}`),
    refetchInterval: ({ state }) => (state.data && isBusy(state.data.alignment) ? OFTEN : false),
  })

// project: whose older translation they are.
export function drop(files: File[], project?: number) {
  const form = new FormData()
  if (project !== undefined) form.append('project_id', String(project))
  files.forEach((file) => form.append('files[]', file))
  return api.post<{ alignments: Alignment[]; left: string[] }>('/alignments', form)
}
export const removeAlignment = (id: number) => api.delete(`/alignments/${id}`)
export const changeAlignment = (id: number, fields: object) =>
  api.patch<Alignment>(`/alignments/${id}`, fields)

export interface Act {
  act: string
  at: number
  side?: Side
  index?: number
  offset?: number
  text?: string
  note?: string
}
export const doAct = (id: number, act: Act | { above: number }) =>
  api.post<Edited>(`/alignments/${id}/edits`, act)
export const undo = (id: number) => api.delete<Edited>(`/alignments/${id}/edits`)
export const redo = (id: number) => api.patch<Edited>(`/alignments/${id}/edits`)
export const give = (id: number, into: { memory_id: number } | { name: string }) =>
  api.post<Alignment>(`/alignments/${id}/gift`, into)
export const fileAddress = (id: number, as: 'tmx' | 'xlsx') => `/api/alignments/${id}?as=${as}`

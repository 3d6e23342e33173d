// Operations: what is asked of the server about long work and changes, and what can be done about them.
import { useQuery, type QueryClient } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Operation } from '../shared/types'

// How often is asked how far something is, in ms; and how often whether anything is under way at all.
const OFTEN = 700
const NOW_AND_THEN = 20_000

export const isUnderWay = (operation?: Operation | null) =>
  operation?.state === 'queued' || operation?.state === 'running'

export const operationAt = (id: number) => api.get<Operation>(`/operations/${id}`)

export const useOperation = (id: number | null) =>
  useQuery({
    queryKey: keys.operation(id ?? 0),
    enabled: id !== null,
    queryFn: () => operationAt(id!),
    refetchInterval: ({ state }) => (isUnderWay(state.data) ? OFTEN : false),
  })

// What the user has under way, anywhere.
export const useUnderWay = () =>
  useQuery({
    queryKey: keys.underWay,
    queryFn: () => api.get<Operation[]>('/operations'),
    refetchInterval: ({ state }) => (state.data?.length ? OFTEN : NOW_AND_THEN),
  })

export type Subject = 'projects' | 'memories' | 'termbases'

// What was done to a project, memory or termbase. stamp: changes whenever that does.
export const useActivity = (subject: Subject, id: number, stamp?: unknown) =>
  useQuery({
    queryKey: keys.activity(subject, id, stamp),
    placeholderData: (old) => old,
    refetchOnMount: 'always',
    queryFn: () => api.get<Operation[]>(`/${subject}/${id}/operations`),
    refetchInterval: ({ state }) => (state.data?.some(isUnderWay) ? OFTEN : false),
  })

const change = (id: number, state: 'cancelled' | 'queued' | 'undone') =>
  api.patch<Operation>(`/operations/${id}`, { state })
export const cancelOperation = (id: number) => change(id, 'cancelled')
export const retryOperation = (id: number) => change(id, 'queued')
export const undoOperation = (id: number) => change(id, 'undone')

export const refreshUnderWay = (cache: QueryClient) => cache.invalidateQueries({ queryKey: keys.underWay })
export const fileOf = (operation: Operation) => `/api/operations/${operation.id}/file`

// Requests for memories and termbases on other servers, and for the keys by which the user's are reached.
import { useQuery } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Hit, RemoteKey, RemoteSource } from '../shared/types'

export type Kind = 'memory' | 'termbase'
const FOLDERS = { memory: 'memories', termbase: 'termbases' }

export interface HeldThere {
  id: string
  kind: Kind
  name: string
  languages: string[]
  size: number
  may: 'read' | 'write'
}
export interface Server {
  server: string
  items: HeldThere[]
}
export const tryServer = (address: string, key: string) =>
  api.post<Server>('/remote_trials', { address, key })
export const tryAgain = (source: number) => api.post<RemoteSource>(`/remote_sources/${source}/trial`)

export const attachRemote = (fields: Record<string, unknown>) =>
  api.post<{ id: number }>('/remote_sources', fields)
export const changeRemote = (source: number, fields: { writes?: boolean; address?: string; key?: string }) =>
  api.patch<RemoteSource>(`/remote_sources/${source}`, fields)

export const useFound = (source: number, text: string, side: string) =>
  useQuery({
    queryKey: keys.remoteFound(source, text, side),
    enabled: text.length > 1,
    placeholderData: (old) => old,
    retry: false,
    queryFn: () =>
      api.get<{ hits: Hit[]; more: boolean }>(
        `/remote_sources/${source}/concordance?${new URLSearchParams({ text, side })}`,
      ),
  })

export const useRemoteKeys = (kind: Kind, id: number) =>
  useQuery({
    queryKey: keys.remoteKeys(kind, id),
    queryFn: () => api.get<RemoteKey[]>(`/${FOLDERS[kind]}/${id}/remote_keys`),
  })
export interface NewKey {
  name: string
  may: 'read' | 'write'
  per_minute: number
  until: string
}
export interface MadeKey extends RemoteKey {
  key: string
  address: string
}
export const makeKey = (kind: Kind, id: number, fields: NewKey) =>
  api.post<MadeKey>(`/${FOLDERS[kind]}/${id}/remote_keys`, fields)
export const withdrawKey = (id: number) => api.delete(`/remote_keys/${id}`)

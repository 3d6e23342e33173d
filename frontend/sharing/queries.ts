// Shares with colleagues, and received invitations.
import { useQuery } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Share } from '../shared/types'

export type Kind = 'memory' | 'termbase'
const FOLDERS = { memory: 'memories', termbase: 'termbases' }

export const useShares = (kind: Kind, id: number, mine: boolean) =>
  useQuery({
    queryKey: keys.shares(kind, id),
    queryFn: () => api.get<Share[]>(`/${FOLDERS[kind]}/${id}/shares`),
    enabled: mine,
  })

export const useOffered = () =>
  useQuery({
    queryKey: keys.offered,
    queryFn: () => api.get<Share[]>('/shares'),
    refetchOnMount: 'always',
  })

export interface Given {
  email: string
  may: Share['may']
  until: string
}
export const giveTo = (kind: Kind, id: number, given: Given) =>
  api.post<Share>(`/${FOLDERS[kind]}/${id}/shares`, given)
export const changeShare = (id: number, fields: Partial<Pick<Share, 'may' | 'state'>> & { until?: string }) =>
  api.patch<Share>(`/shares/${id}`, fields)
export const takeShareBack = (id: number) => api.delete(`/shares/${id}`)

export interface Invitation {
  email: string
  item: string
  owner: string
}
export const useInvitation = (token: string | null) =>
  useQuery({
    queryKey: keys.invitation(token),
    queryFn: () => api.get<Invitation>(`/invitations/${token}`),
    enabled: token !== null,
    retry: false,
  })

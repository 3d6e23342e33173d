// Servers of clients and what they offer: what is asked of our own server.
import { useQuery } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import { finished } from '../operations/follow'
import type { ClientServer, Offer, Operation } from '../shared/types'

export const useServers = (client: number) =>
  useQuery({
    queryKey: keys.servers(client),
    queryFn: () => api.get<ClientServer[]>(`/clients/${client}/servers`),
  })
export const addServer = (client: number, fields: { address: string; key: string }) =>
  api.post<ClientServer>(`/clients/${client}/servers`, fields)
export const changeServer = (id: number, fields: { address?: string; key?: string }) =>
  api.patch<ClientServer>(`/client_servers/${id}`, fields)
export const dropServer = (id: number) => api.delete(`/client_servers/${id}`)

// Looked for now and then while Today is open.
const AGAIN = 30_000
export const useOffers = () =>
  useQuery({
    queryKey: keys.offers,
    queryFn: () => api.get<{ offers: Offer[]; troubles: string[] }>('/offers'),
    refetchOnMount: 'always',
    refetchInterval: AGAIN,
  })
// Answers the number of the project.
export const openOffer = async (id: number) =>
  (await finished(await api.patch<Operation>(`/offers/${id}`))).result.project_id

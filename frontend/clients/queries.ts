// What the pages of clients ask of the server.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { AttachedTermbase, ClientPage, RateCard, Rates, StandingMemory } from '../shared/types'
import { useAct } from '../shared/useAct'

export const useClient = (id: number) =>
  useQuery({
    queryKey: keys.client(id),
    refetchOnMount: 'always',
    queryFn: () => api.get<ClientPage>(`/clients/${id}`),
  })

export type ClientFields = Partial<Omit<ClientPage, 'memories' | 'termbases'>> & {
  termbases?: Pick<AttachedTermbase, 'termbase_id' | 'adds' | 'checks' | 'read_only'>[]
  memories?: Pick<StandingMemory, 'memory_id' | 'learns' | 'read_only' | 'penalty'>[]
}
export type ChangeClient = (fields: ClientFields) => void

// Changes to a client, each kept at once.
export function useClientChange(id: number): ChangeClient {
  const cache = useQueryClient()
  const { act } = useAct()
  return (fields) =>
    void act(async () => {
      const kept = await api.patch<ClientPage>(`/clients/${id}`, fields)
      cache.setQueryData(keys.client(id), kept)
      await cache.invalidateQueries({ queryKey: keys.clients })
    })
}

// client: null for the default rates.
export const useRateCards = (client: number | null) =>
  useQuery({
    queryKey: keys.rateCards(client),
    queryFn: () => api.get<RateCard[]>(`/rate_cards?client_id=${client ?? ''}`),
  })

interface Card {
  id?: number
  client_id: number | null
  source_lang: string
  target_lang: string
  rates: Rates
}

export const keepCard = ({ id, ...card }: Card) =>
  id ? api.patch<RateCard>(`/rate_cards/${id}`, card) : api.post<RateCard>('/rate_cards', card)

export const dropCard = (id: number) => api.delete(`/rate_cards/${id}`)
export const putClientAway = (id: number) => api.delete(`/clients/${id}`)

export function sendLogo(id: number, file: File) {
  const form = new FormData()
  form.append('files[]', file)
  return api.patch<ClientPage>(`/clients/${id}/logo`, form)
}
export const dropLogo = (id: number) => api.delete<ClientPage>(`/clients/${id}/logo`)

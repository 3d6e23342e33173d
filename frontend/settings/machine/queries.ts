// Services of machine translation: what is asked of the server.
import { useQuery } from '@tanstack/react-query'
import { api } from '../../shared/api'
import { keys } from '../../shared/queryKeys'
import type { MachineRequest, MachineService } from '../../shared/types'

export type Template = Pick<MachineService, 'headers' | 'request' | 'answer' | 'batch' | 'markup'>
export interface Services {
  services: MachineService[]
  sent: MachineRequest[]
  templates: Record<'lists' | 'chat', Template>
}
export type ServiceFields = Partial<Omit<MachineService, 'id' | 'has_key'>> & { key?: string }
export interface Tried {
  sent: string
  got: string
  codes: boolean
}

export interface Compared {
  service: string
  got?: string
  ms: number
  trouble?: string
}
export const compareServices = (fields: { text: string; source_lang: string; target_lang: string }) =>
  api.post<{ compared: Compared[] }>('/machine_comparison', fields)

export const useServices = () =>
  useQuery({ queryKey: keys.machine, queryFn: () => api.get<Services>('/machine_services') })

export const keepService = (fields: ServiceFields, id?: number) =>
  id
    ? api.patch<MachineService>(`/machine_services/${id}`, fields)
    : api.post<MachineService>('/machine_services', fields)
export const dropService = (id: number) => api.delete(`/machine_services/${id}`)
export const tryService = (id: number, languages: { source_lang: string; target_lang: string }) =>
  api.post<Tried>(`/machine_services/${id}/try`, languages)

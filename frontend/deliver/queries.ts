// What Deliver asks of the server.
import { useQuery } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import { begin } from '../operations/follow'
import type { Delivery, Difference, Readiness } from '../shared/types'
import { projectQuery } from '../shared/useProject'

export const useDelivered = (id: number) => useQuery({ ...projectQuery(id), refetchOnMount: 'always' })

export const useReadiness = (project: number) =>
  useQuery({
    queryKey: keys.readiness(project),
    queryFn: () => api.get<Readiness>(`/projects/${project}/readiness`),
    refetchOnMount: 'always',
  })

const OFTEN = 2000

export const useDeliveries = (project: number) =>
  useQuery({
    queryKey: keys.deliveries(project),
    queryFn: () => api.get<Delivery[]>(`/projects/${project}/deliveries`),
    refetchOnMount: 'always',
    // While one is on its way to a client’s server.
    refetchInterval: (query) => (query.state.data?.some((one) => one.outgoing_request) ? OFTEN : false),
  })

export interface Since {
  number: number | null
  count: number
  // Of the files in which something changed, and of those that are new.
  document_ids: number[]
  rows: {
    segment_id: number
    number: number
    file: string
    source: string
    before: string
    now: string
    differences: Difference[]
  }[]
}

// stamp: changes with each delivery.
export const useSinceLast = (project: number, stamp: number) =>
  useQuery({
    queryKey: keys.sinceLast(project, stamp),
    queryFn: () => api.get<Since>(`/projects/${project}/delivery_differences`),
    refetchOnMount: 'always',
  })

export const deliver = (project: number, fields: { document_ids: number[]; message: string }) =>
  begin(`/projects/${project}/deliveries`, fields)

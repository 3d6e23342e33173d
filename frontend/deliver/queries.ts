// What Deliver asks of the server.
import { useQuery } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Delivery, Readiness } from '../shared/types'
import { projectQuery } from '../shared/useProject'

export const useDelivered = (id: number) => useQuery({ ...projectQuery(id), refetchOnMount: 'always' })

export const useReadiness = (project: number) =>
  useQuery({
    queryKey: keys.readiness(project),
    queryFn: () => api.get<Readiness>(`/projects/${project}/readiness`),
    refetchOnMount: 'always',
  })

export const useDeliveries = (project: number) =>
  useQuery({
    queryKey: keys.deliveries(project),
    queryFn: () => api.get<Delivery[]>(`/projects/${project}/deliveries`),
    refetchOnMount: 'always',
  })

export const deliver = (project: number) => api.post<Delivery>(`/projects/${project}/deliveries`)

// A project as the server has it.
import { useQuery } from '@tanstack/react-query'
import { api } from './api'
import { keys } from './queryKeys'
import type { Project } from './types'

export const projectQuery = (id: number) => ({
  queryKey: keys.project(id),
  queryFn: () => api.get<Project>(`/projects/${id}`),
})

export const useProject = (id: number) => useQuery(projectQuery(id))

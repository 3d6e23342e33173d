// What the list of projects asks of the server.
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { ProjectList } from '../shared/types'

export const useProjectList = (asked: string) =>
  useQuery({
    queryKey: keys.projectList(asked),
    queryFn: () => api.get<ProjectList>(`/projects?${asked}`),
    placeholderData: keepPreviousData,
    refetchOnMount: 'always',
  })

export const setFinished = (id: number, finished: boolean) => api.patch(`/projects/${id}`, { finished })
export const deleteProject = (id: number) => api.delete(`/projects/${id}`)
export const restoreProject = (trashed: number) => api.patch(`/trash_items/project-${trashed}`)
export const trashedProjects = async () => {
  const { items } = await api.get<{ items: { kind: string; id: number; record: number }[] }>('/trash_items')
  return new Map(items.filter(({ kind }) => kind === 'project').map(({ id, record }) => [record, id]))
}

// What a brief asks of the server, and the news that change it.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { api } from '../shared/api'
import { useProjectNews, type News } from '../shared/live'
import { keys } from '../shared/queryKeys'
import type { Client, Memory, Project } from '../shared/types'
import { projectQuery } from '../shared/useProject'

const EVERY = 1500
const onItsWay = (state: string) => state === 'waiting' || state === 'reading'

function unsettled(project?: Project) {
  const counting = project?.documents.some(
    (one) => onItsWay(one.state) || (one.state === 'ready' && !one.bands),
  )
  return counting || project?.versions.some((one) => onItsWay(one.state))
}

// How far the reading of a file has come, put where the file stands.
const withProgress = (project: Project, news: News): Project => ({
  ...project,
  documents: project.documents.map((one) =>
    one.id === news.id ? { ...one, state: 'reading', done: news.done ?? 0, total: news.total ?? 0 } : one,
  ),
})

export function useBrief(id: number) {
  const cache = useQueryClient()
  const { message } = App.useApp()
  const query = useQuery({
    ...projectQuery(id),
    refetchOnMount: 'always',
    // The cable brings the news; this is for when it cannot.
    refetchInterval: (state) => (unsettled(state.state.data) ? EVERY : false),
  })
  useProjectNews(id, (news) => {
    if (news.event === 'document' && news.state === 'reading')
      cache.setQueryData<Project>(keys.project(id), (old) => old && withProgress(old, news))
    else if (news.event === 'refused' && news.message) void message.error(news.message)
    else void cache.invalidateQueries({ queryKey: keys.project(id) })
  })
  return query
}

export const useClients = () =>
  useQuery({
    queryKey: keys.clients,
    queryFn: () => api.get<Client[]>('/clients'),
    refetchOnMount: 'always',
  })

export function useMemoriesOfPair(source: string | null, target: string | null) {
  return useQuery({
    queryKey: keys.memories(source, target),
    enabled: !!source && !!target,
    refetchOnMount: 'always',
    queryFn: () => api.get<Memory[]>(`/memories?source_lang=${source}&target_lang=${target}`),
  })
}

export const makeMemory = (name: string, source_lang: string | null, target_lang: string | null) =>
  api.post<Memory>('/memories', { name, source_lang, target_lang })

export const makeClient = (name: string) => api.post<Client>('/clients', { name })

export const changeProject = (id: number, fields: Record<string, unknown>) =>
  api.patch<Project>(`/projects/${id}`, fields)

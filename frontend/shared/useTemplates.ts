// Project templates, and beginning a brief from one.
import { useQuery } from '@tanstack/react-query'
import { api } from './api'
import { keys } from './queryKeys'
import type { Project, Template } from './types'

export const useTemplates = () =>
  useQuery({ queryKey: keys.templates, queryFn: () => api.get<Template[]>('/templates') })

// Answers the address of the new brief.
export async function briefFrom(template: number): Promise<string> {
  const brief = await api.post<Project>('/projects', { template_id: template })
  return `/projects/${brief.id}/brief`
}

// Dropped files on their way to the server.
import { api } from '../shared/api'
import type { Project } from '../shared/types'

export function sendFiles(project: number, files: File[]): Promise<unknown> {
  const form = new FormData()
  files.forEach((file) => form.append('files[]', file))
  return api.post(`/projects/${project}/documents`, form)
}

// A new brief with these files; answers its number.
export async function beginBrief(files: File[]): Promise<number> {
  const project = await api.post<Project>('/projects')
  await sendFiles(project.id, files)
  return project.id
}

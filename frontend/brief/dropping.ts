// Dropped files on their way to the server.
import { api, upload } from '../shared/api'
import type { Project } from '../shared/types'

export function sendFiles(
  project: number,
  files: File[],
  progress: (share: number) => void,
): Promise<unknown> {
  const form = new FormData()
  files.forEach((file) => form.append('files[]', file))
  return upload(`/projects/${project}/documents`, form, progress)
}

// A new brief with these files, a template's if one is given; answers its number. Where the files do not get
// through, the empty brief goes again.
export async function beginBrief(
  files: File[],
  progress: (share: number) => void,
  known: { template_id?: number; target_lang?: string } = {},
): Promise<number> {
  const project = await api.post<Project>('/projects', known)
  try {
    if (files.length) await sendFiles(project.id, files, progress)
  } catch (error) {
    await api.delete(`/projects/${project.id}`).catch(() => undefined)
    throw error
  }
  return project.id
}

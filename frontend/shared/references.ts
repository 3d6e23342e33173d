// Files that are looked at beside the text and never translated.
import { useQuery } from '@tanstack/react-query'
import { api, upload } from './api'
import { keys } from './queryKeys'
import type { ReferenceFile } from './types'

export const useReferences = (project: number) =>
  useQuery({
    queryKey: keys.references(project),
    queryFn: () => api.get<ReferenceFile[]>(`/projects/${project}/reference_files`),
  })

export function addReferences(project: number, files: File[]) {
  const form = new FormData()
  files.forEach((file) => form.append('files[]', file))
  return upload<ReferenceFile[]>(`/projects/${project}/reference_files`, form, () => undefined)
}

export const dropReference = (id: number) => api.delete(`/reference_files/${id}`)
export const referenceAddress = (id: number) => `/api/reference_files/${id}`

// What is asked of the server about notes and questions.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { api } from '../shared/api'
import { useProjectNews } from '../shared/live'
import { keys } from '../shared/queryKeys'
import type { Note } from '../shared/types'

export const notesQuery = (project: number) => ({
  queryKey: keys.notes(project),
  queryFn: () => api.get<Note[]>(`/projects/${project}/notes`),
  staleTime: 20_000,
})

export function useNotes(project: number) {
  const refresh = useRefreshNotes(project)
  useProjectNews(project, ({ event }) => {
    if (event === 'notes' || event === 'recut') void refresh()
  })
  return useQuery(notesQuery(project)).data ?? NONE
}
const NONE: Note[] = []

export function useRefreshNotes(project: number) {
  const cache = useQueryClient()
  return useCallback(() => cache.invalidateQueries({ queryKey: keys.notes(project) }), [cache, project])
}

export interface NoteFields {
  segment_id?: number
  document_id?: number
  text: string
  kind: Note['kind']
}
export const addNote = (project: number, fields: NoteFields) =>
  api.post<Note>(`/projects/${project}/notes`, fields)

export const changeNote = (note: number, fields: Record<string, unknown>) =>
  api.patch<Note>(`/notes/${note}`, fields)

export const removeNote = (note: number) => api.delete(`/notes/${note}`)

export interface TakenIn {
  taken: number
  same: number
  strange: number[]
}
export function takeAnswersIn(project: number, file: File) {
  const form = new FormData()
  form.append('file', file)
  return api.post<TakenIn>(`/projects/${project}/question_sheet`, form)
}
export const sheetAddress = (project: number, as: 'docx' | 'xlsx') =>
  `/api/projects/${project}/question_sheet?as=${as}`

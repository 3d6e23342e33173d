// What the views of termbases ask of the server, and what they do there.
import { keepPreviousData, useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import { begin, finished } from '../operations/follow'
import type { TermbasePage, TermEntry, TermSection, TermVersion } from '../shared/types'

export interface TermSearch {
  text: string
  lang: string
  subject: string
  status: string
  look: string
}
export interface FoundEntries {
  total: number
  entries: TermEntry[]
}
// What a form of an entry sends.
export interface EntryFields {
  definition: string | null
  subject: string | null
  note: string | null
  sections: TermSection[]
}
const PAGE = 50

export const useTermbase = (id: number) =>
  useQuery({
    queryKey: keys.termbase(id),
    queryFn: () => api.get<TermbasePage>(`/termbases/${id}`),
    refetchOnMount: 'always',
  })

export const useEntries = (id: number, search: TermSearch) =>
  useInfiniteQuery({
    queryKey: keys.entries(id, search),
    placeholderData: keepPreviousData,
    initialPageParam: 0,
    getNextPageParam: (last: FoundEntries, all) => (all.length * PAGE < last.total ? all.length : undefined),
    queryFn: ({ pageParam }) => {
      const asked = new URLSearchParams({ ...search, page: String(pageParam) })
      return api.get<FoundEntries>(`/termbases/${id}/entries?${asked}`)
    },
  })

// Everything shown of a termbase, asked for anew.
export function useRefresh(id: number) {
  const cache = useQueryClient()
  return () =>
    Promise.all(
      [
        keys.termbase(id),
        keys.entries(id),
        keys.activity('termbases', id),
        keys.allTerms,
        keys.allEntries,
      ].map((queryKey) => cache.invalidateQueries({ queryKey })),
    )
}

export const pastOfEntry = (entry: number) => ({
  queryKey: keys.entryPast(entry),
  queryFn: () => api.get<TermVersion[]>(`/term_entries/${entry}/versions`),
  staleTime: 0,
})

export const addEntry = (termbase: number, fields: EntryFields) =>
  api.post<TermEntry>(`/termbases/${termbase}/entries`, fields)
export const changeEntry = (entry: number, fields: EntryFields) =>
  api.patch<TermEntry>(`/term_entries/${entry}`, fields)
export const deleteEntries = async (termbase: number, ids: number[]) =>
  finished(await begin(`/termbases/${termbase}/deletion`, { ids }))
const formWith = (fields: Record<string, string | File>) => {
  const form = new FormData()
  Object.entries(fields).forEach(([name, value]) => form.append(name, value))
  return form
}
export const editEntries = async (termbase: number, fields: Record<string, unknown>) =>
  finished(await begin(`/termbases/${termbase}/edits`, fields))
export const pictureOf = (entry: number) => `/api/term_entries/${entry}/picture`
export const sendPicture = (entry: number, file: File) =>
  api.patch<TermEntry>(`/term_entries/${entry}/picture`, formWith({ file }))
export const dropPicture = (entry: number) => api.delete<TermEntry>(`/term_entries/${entry}/picture`)

export interface TermTable {
  tbx?: boolean
  columns?: { label: string; role: string | null }[]
  rows?: string[][]
}

export const lookAtTerms = (termbase: number, file: File) =>
  api.post<TermTable>(`/termbases/${termbase}/table`, formWith({ file }))
export const importTerms = (termbase: number, fields: Record<string, string | File>) =>
  begin(`/termbases/${termbase}/exchange`, formWith(fields))
export const termsPath = (termbase: number, form: string) => `/termbases/${termbase}/exchange?as=${form}`

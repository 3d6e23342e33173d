// Subtitles: what is asked of the server besides their text.
import { useQuery } from '@tanstack/react-query'
import { api, upload } from '../../shared/api'
import { useProjectNews } from '../../shared/live'
import { keys } from '../../shared/queryKeys'
import type { Proposal } from '../../shared/types'
import type { Limits, Shown } from './meters'

export interface Cue extends Shown {
  segment_id: number
  number: number
  // Where on the picture: “top”, “top left” …; null below in the middle.
  place: string | null
}
export interface FilmFile {
  name: string
  byte_size: number
  // Another one where another film was given.
  version: number
}
export interface CuesPage {
  limits: Limits
  film: FilmFile | null
  cues: Cue[]
  // The client lets no times be changed, or the format does not.
  fixed: boolean
  // Segments that say one sentence together.
  sentences: number[][]
}

// document: null where it holds no cues.
export function useCues(project: number, document: number | null) {
  const query = useQuery({
    queryKey: keys.cues(document ?? 0),
    queryFn: () => api.get<CuesPage>(`/documents/${document}/cues`),
    enabled: document !== null,
  })
  const { refetch } = query
  useProjectNews(project, ({ event }) => {
    if (event === 'recut' && document !== null) void refetch()
  })
  return query
}

export const filmAddress = (document: number, { version }: FilmFile) =>
  `/api/documents/${document}/film?${version}`

// progress: told the share that has gone up.
export function giveFilm(document: number, file: File, progress: (share: number) => void) {
  const form = new FormData()
  form.append('files[]', file)
  return upload(`/documents/${document}/film`, form, progress)
}
export const takeFilmAway = (document: number) => api.delete(`/documents/${document}/film`)

// target: in written form → broken into lines, best first.
export const linesOf = async (segment: number, target: string) =>
  (await api.post<{ ways: string[] }>(`/segments/${segment}/line_breaks`, { target })).ways

export const sentenceQuery = (segment: number) => ({
  queryKey: keys.sentence(segment),
  queryFn: () => api.get<{ proposals: Proposal[] }>(`/segments/${segment}/sentence`),
  staleTime: 0,
})

export interface Part {
  segment_id: number
  target: string
}
// text: the translation of the whole sentence that the cue is part of.
export const divide = async (segment: number, text: string) =>
  (await api.post<{ parts: Part[] }>(`/segments/${segment}/sentence`, { text })).parts

// start, finish: as they are shown; shift: seconds, with rest for all cues after it too.
export type Times = { start: string } | { finish: string } | { shift: string; rest: boolean }
export const changeTimes = (segment: number, times: Times) =>
  api.patch<{ operation: number }>(`/segments/${segment}/times`, times)

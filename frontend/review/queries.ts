// Rounds of review: what is asked of the server.
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import { begin, finished } from '../operations/follow'
import type {
  ChangeKind,
  Decision,
  Note,
  Operation,
  ReviewChange,
  ReviewRound,
  Right,
  Severity,
} from '../shared/types'

export interface Amount {
  words: number
  changed: number
  segments: number
  sent: number
  kinds: Partial<Record<ChangeKind, number>>
  score: {
    points: number
    per_thousand: number | null
    kinds: Record<string, Weighed>
    severities: Partial<Record<Severity, Weighed>>
  }
  distance: Distance
  files: { name: string; changes: number; words: number; distance: Distance }[]
}
export interface Weighed {
  count: number
  points: number
}
// In characters.
export interface Distance {
  edits: number
  characters: number
  percent: number
}
export interface RoundPage {
  round: ReviewRound
  changes: ReviewChange[]
  remarks: Note[]
  amount: Amount
}
export const FORMS = ['inside', 'docx', 'xlsx', 'xliff', 'xliff12', 'tmx', 'hand-over'] as const
export interface SheetOptions {
  reviser: string
  as: (typeof FORMS)[number]
  tracking: boolean
  instructions: boolean
  terms: boolean
  notes: boolean
  // All when left out.
  document_ids?: number[]
  // Of hand-overs.
  task: string
  message: string
  due_at: string
  memories: boolean
  termbases: boolean
  matching: boolean
  segment_ids?: number[]
  // Of a pass inside: of a colleague's account, none for one's own.
  email?: string
  may?: Right
}

interface Place {
  file: string
  number: number
}
export interface Division {
  borders: 'heading' | 'paragraph'
  near: boolean
  shares: { words: number; segments: number; from: Place; to: Place; segment_ids: number[] }[]
}
// How the words would be divided; asked for from two on.
export const useDivision = (project: number, count: number, files: number[] | undefined) =>
  useQuery({
    queryKey: keys.division(project, count, files),
    queryFn: () => {
      const chosen = files?.map((id) => `&document_ids[]=${id}`).join('') ?? ''
      return api.get<Division>(`/projects/${project}/division?count=${count}${chosen}`)
    },
    enabled: count > 1,
    placeholderData: keepPreviousData,
  })

export const useRounds = (project: number) =>
  useQuery({
    queryKey: keys.rounds(project),
    queryFn: () => api.get<ReviewRound[]>(`/projects/${project}/review_rounds`),
  })

export const useRound = (round: number | undefined) =>
  useQuery({
    queryKey: keys.round(round ?? 0),
    queryFn: () => api.get<RoundPage>(`/review_rounds/${round}`),
    enabled: round !== undefined,
  })

export function useRefreshRounds(project: number) {
  const cache = useQueryClient()
  return useCallback(
    () =>
      Promise.all([
        cache.invalidateQueries({ queryKey: keys.rounds(project) }),
        cache.invalidateQueries({ queryKey: keys.anyRound }),
      ]),
    [cache, project],
  )
}

// Answers the number of the round.
export async function sendOut(project: number, options: SheetOptions): Promise<number> {
  const made = await api.post<ReviewRound | Operation>(`/projects/${project}/review_rounds`, options)
  return 'kind' in made ? (await finished(made)).result.round_id! : made.id
}
export const sheetAddress = (round: number) => `/api/review_rounds/${round}?as=file`
export const reportAddress = (round: number) => `/api/review_rounds/${round}?as=report`

export function bringBack(project: number, file: File) {
  const form = new FormData()
  form.append('file', file)
  return begin(`/projects/${project}/review_sheet`, form)
}

export const decide = (round: number, ids: number[], decision: Decision, mended = false) =>
  begin(`/review_rounds/${round}/decisions`, { ids, decision, ...(mended ? { mended } : {}) })
export const changeRound = (round: number, fields: object) => api.patch(`/review_rounds/${round}`, fields)
export const closeRound = (round: number) =>
  api.patch<{ reviewed: number }>(`/review_rounds/${round}`, { close: true })
export const reopenRound = (round: number) =>
  api.patch<Operation>(`/review_rounds/${round}`, { reopen: true })

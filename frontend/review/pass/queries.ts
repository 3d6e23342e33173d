// A pass inside: what is asked of the server.
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { api } from '../../shared/api'
import { keys } from '../../shared/queryKeys'
import type {
  Code,
  Difference,
  ErrorTypes,
  Note,
  ReviewRound,
  Right,
  Severity,
  Spot,
  State,
} from '../../shared/types'

export interface Passage {
  segment_id: number
  document_id: number
  number: number
  place: string | null
  block: string
  source: string
  target: string
  codes: Code[]
  state: State
  version: number
  words: number
  note: string | null
  read: boolean
  // What is being written, and was not kept yet.
  draft: string | null
  // What waits for the owner to be taken.
  proposed: string | null
  // As it shall read, and what differs from the state it is compared with.
  text: string
  differences: Difference[] | null
}
// A state of the text that it can be compared with.
export interface EarlierState {
  key: string
  kind: 'begin' | 'round' | 'delivery' | 'first'
  number: number | null
  at: string | null
  by: string | null
}
export interface PassPage {
  round: ReviewRound
  right: Right
  project: {
    id: number
    reference: string | null
    name: string
    source_lang: string
    target_lang: string
    owner: string
    own: boolean
  }
  states: EarlierState[]
  against: string
  documents: { id: number; name: string }[]
  error_types: ErrorTypes
  passages: Passage[]
  remarks: Note[]
}

export const usePassages = (round: number, against: string) =>
  useQuery({
    queryKey: keys.passagesAgainst(round, against),
    queryFn: () => api.get<PassPage>(`/review_rounds/${round}/passages?against=${against}`),
    placeholderData: keepPreviousData,
  })

const change = (round: number, segment: number, fields: object, options?: { keepalive: boolean }) =>
  api.patch<{ passage: Passage }>(`/review_rounds/${round}/passages/${segment}`, fields, options)

export const keepDraft = (
  round: number,
  segment: number,
  draft: string | null,
  options?: { keepalive: boolean },
) => change(round, segment, { draft }, options)
export const readPassage = (round: number, passage: Passage, target: string, against: string) =>
  change(round, passage.segment_id, { read: true, target, version: passage.version, against })
export const unreadPassage = (round: number, passage: Passage, against: string) =>
  change(round, passage.segment_id, { read: false, against })

export interface RemarkFields {
  text: string
  error_type: string
  severity: Severity
  spot?: Spot
}
export const addRemark = (round: number, segment: number, fields: RemarkFields) =>
  api.post<Note>(`/review_rounds/${round}/remarks`, { segment_id: segment, ...fields })
export const changeRemark = (remark: number, fields: object) => api.patch<Note>(`/remarks/${remark}`, fields)
export const removeRemark = (remark: number) => api.delete(`/remarks/${remark}`)

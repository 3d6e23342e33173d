// What counts and quotes ask of the server.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { api } from '../shared/api'
import { useProjectNews } from '../shared/live'
import { keys } from '../shared/queryKeys'
import type { LetterLanguage } from '../shared/i18n'
import type { Pace, Quote, QuotePage, QuoteState, Rates, Report, ReportLine } from '../shared/types'

const EVERY = 1500

export interface Asked {
  project_id?: number
  client_id?: number
  source_lang?: string
  target_lang?: string
  report_id?: number
}

const address = (path: string, asked: object) => {
  const given = Object.entries(asked).filter(([, value]) => value !== undefined && value !== null)
  return given.length
    ? `${path}?${new URLSearchParams(given.map(([name, value]) => [name, String(value)]))}`
    : path
}

export const useReports = (asked: Asked, enabled = true) =>
  useQuery({
    queryKey: keys.reports(asked),
    enabled,
    refetchOnMount: 'always',
    queryFn: () => api.get<ReportLine[]>(address('/reports', asked)),
  })

export interface PostEditing {
  segments: number
  words: number
  as_given: number
  changed: number
}
export const usePostEditing = (project: number) =>
  useQuery({
    queryKey: keys.postEditing(project),
    queryFn: () => api.get<PostEditing>(`/projects/${project}/post_editing`),
    refetchOnMount: 'always',
  })

// A report; while it is being counted it is asked for again.
export const useReport = (id: number | null, beside: number | null) =>
  useQuery({
    queryKey: keys.report(id ?? 0, beside),
    enabled: id !== null,
    refetchOnMount: 'always',
    placeholderData: (before) => (before?.id === id ? before : undefined),
    refetchInterval: (query) => (query.state.data?.state === 'counting' ? EVERY : false),
    queryFn: () => api.get<Report>(address(`/reports/${id}`, { beside })),
  })

export const makeReport = (project: number, memory_ids?: number[]) =>
  api.post<Report>(`/projects/${project}/reports`, memory_ids ? { memory_ids } : {})

const POLL = 700

// Waits until a report is made.
export async function finished(id: number): Promise<Report> {
  const report = await api.get<Report>(`/reports/${id}`)
  if (report.state !== 'counting') return report
  await new Promise((resolve) => window.setTimeout(resolve, POLL))
  return finished(id)
}

export const keepReport = (id: number, name: string) => api.patch<Report>(`/reports/${id}`, { name })

export const exportAddress = (id: number, form: string, beside: number | null) =>
  `/api${address(`/reports/${id}`, { as: form, beside })}`

export const usePace = () =>
  useQuery({ queryKey: keys.pace, staleTime: 60_000, queryFn: () => api.get<Pace>('/pace') })

export const useQuotes = (asked: Asked, enabled = true) =>
  useQuery({
    queryKey: keys.quotes(asked),
    enabled,
    refetchOnMount: 'always',
    queryFn: () => api.get<Quote[]>(address('/quotes', asked)),
  })

export const useQuote = (id: number) =>
  useQuery({ queryKey: keys.quote(id), queryFn: () => api.get<QuotePage>(`/quotes/${id}`) })

interface Kept {
  report_id: number
  rates: Rates
  total: string
  valid_until: string
  done_at: string | null
}

export const keepQuote = (quote: Kept) => api.post<Quote>('/quotes', quote)
export const setQuoteState = (id: number, state: QuoteState) => api.patch<Quote>(`/quotes/${id}`, { state })
export const setQuoteLanguage = (id: number, language: LetterLanguage) =>
  api.patch<Quote>(`/quotes/${id}`, { language })
export const quoteExportAddress = (id: number, form: string) => `/api/quotes/${id}?as=${form}`

// What is told of counts of a project is asked for again.
export function useReportNews(project: number | null) {
  const cache = useQueryClient()
  useProjectNews(project ?? 0, (news) => {
    if (news.event !== 'report') return
    void cache.invalidateQueries({ queryKey: keys.anyReport(news.id ?? 0) })
    if (news.state === 'ready') void cache.invalidateQueries({ queryKey: keys.allReports })
  })
}

// What the views of memories ask of the server, and what they do there.
import { keepPreviousData, useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import { begin, finished } from '../operations/follow'
import type { Memory, TranslationUnit, Operation, UnitVersion } from '../shared/types'

export const FACETS = ['client', 'subject', 'author', 'project', 'origin'] as const
export type Facet = (typeof FACETS)[number]
export type UnitSearch = { text: string; side: string; tidy: string } & Partial<Record<Facet, string>>
export interface FoundUnits {
  units: TranslationUnit[]
  more: boolean
  count: number
}

const OFTEN = 700

export const useMemories = () =>
  useQuery({
    queryKey: keys.memories(),
    queryFn: () => api.get<Memory[]>('/memories'),
    refetchOnMount: 'always',
    refetchInterval: (query) => (query.state.data?.some((memory) => memory.busy.length) ? OFTEN : false),
  })

export const useMemory = (id: number) =>
  useQuery({
    queryKey: keys.memory(id),
    queryFn: () => api.get<Memory>(`/memories/${id}`),
    refetchOnMount: 'always',
    refetchInterval: (query) => (query.state.data?.busy.length ? OFTEN : false),
  })

// The units of a memory that fit a search, their facets, and what deserves a look.
export function useUnits(memory: Memory | undefined, id: number, search: UnitSearch) {
  const known = { enabled: memory !== undefined, placeholderData: keepPreviousData }
  const units = useInfiniteQuery({
    ...known,
    queryKey: keys.units(id, search, memory?.units),
    initialPageParam: 0,
    getNextPageParam: (last: FoundUnits, all) => (last.more ? all.length : undefined),
    queryFn: ({ pageParam }) => {
      const asked = new URLSearchParams({ ...search, page: String(pageParam) })
      return api.get<FoundUnits>(`/memories/${id}/units?${asked}`)
    },
  })
  const facets = useQuery({
    ...known,
    queryKey: keys.facets(id, search, memory?.units),
    queryFn: () =>
      api.get<Record<Facet, [string, number][]>>(`/memories/${id}/facets?${new URLSearchParams(search)}`),
  })
  const tidy = useQuery({
    ...known,
    queryKey: keys.tidy(id, memory?.units),
    queryFn: () => api.get<Record<string, number>>(`/memories/${id}/tidy`),
  })
  return { units, facets, tidy }
}

// Everything shown of a memory, asked for anew.
export function useRefresh(id: number, refetch: () => Promise<unknown>) {
  const cache = useQueryClient()
  return () =>
    Promise.all([
      refetch(),
      ...[keys.units(id), keys.facets(id), keys.tidy(id), keys.activity('memories', id)].map((queryKey) =>
        cache.invalidateQueries({ queryKey }),
      ),
    ])
}

export const useOthersOfPair = (memory?: Memory) =>
  useQuery({
    queryKey: keys.memories(memory?.source_lang, memory?.target_lang),
    enabled: memory !== undefined,
    queryFn: async () => {
      const pair = new URLSearchParams({
        source_lang: memory!.source_lang,
        target_lang: memory!.target_lang,
      })
      const all = await api.get<Memory[]>(`/memories?${pair}`)
      return all.filter((one) => one.id !== memory!.id)
    },
  })

export const useUnitPast = (unit: number) =>
  useQuery({
    queryKey: keys.unit(unit),
    queryFn: () => api.get<{ unit: TranslationUnit; versions: UnitVersion[] }>(`/units/${unit}`),
    staleTime: 0,
  })

// Many units at once, or on their way to another memory.
export const changeMany = async (memory: number, body: Record<string, unknown>) =>
  finished(await begin(`/memories/${memory}/changes`, body))
export const editUnit = (unit: number, texts: { source: string; target: string }) =>
  api.patch<{ operation: Operation | null }>(`/units/${unit}`, texts)
export const changeMemory = (id: number, fields: Record<string, unknown>) =>
  api.patch(`/memories/${id}`, fields)

export interface TableLook {
  columns: { value: string; label: string }[]
  source: string | null
  target: string | null
  rows: string[][]
}

const formWith = (fields: Record<string, string | File>) => {
  const form = new FormData()
  Object.entries(fields).forEach(([name, value]) => form.append(name, value))
  return form
}

// A preview of a table before it is imported.
export const lookAtTable = (memory: number, file: File) =>
  api.post<TableLook>(`/memories/${memory}/table`, formWith({ file }))
export const importUnits = (memory: number, fields: Record<string, string | File>) =>
  begin(`/memories/${memory}/exchange`, formWith(fields))

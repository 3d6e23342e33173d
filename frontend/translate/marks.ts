// Where in the text there are findings, by the worst of each segment: for the strip, the column and the filter.
import { useQuery } from '@tanstack/react-query'
import { createContext, useContext, useEffect, useMemo, useRef } from 'react'
import { api } from '../shared/api'
import { useProjectNews } from '../shared/live'
import { keys } from '../shared/queryKeys'

export type Mark = 'must-fix' | 'look'
export type Marks = ReadonlyMap<number, Mark>
export const NO_MARKS: Marks = new Map()
export const MarksContext = createContext<Marks>(NO_MARKS)

// A segment is checked when the user leaves it, not at each key.
const PAUSE = 1500
const NEWS = ['segments', 'recut', 'terms', 'checked']

// stamp: changes whenever a state does.
export function useMarks(project: number, stamp: number): Marks {
  const { data, refetch } = useQuery({
    queryKey: keys.marks(project),
    queryFn: async () =>
      (await api.get<{ marks: Record<string, Mark> }>(`/projects/${project}/check_marks`)).marks,
    refetchOnMount: 'always',
  })
  const timer = useRef(0)
  const later = useMemo(
    () => () => {
      window.clearTimeout(timer.current)
      timer.current = window.setTimeout(() => void refetch(), PAUSE)
    },
    [refetch],
  )
  useProjectNews(project, ({ event }) => {
    if (NEWS.includes(event)) later()
  })
  useEffect(() => {
    later()
    return () => window.clearTimeout(timer.current)
  }, [later, stamp])
  return useMemo(
    () => new Map(Object.entries(data ?? {}).map(([id, mark]) => [Number(id), mark] as const)),
    [data],
  )
}

export const useMark = (segment: number) => useContext(MarksContext).get(segment)

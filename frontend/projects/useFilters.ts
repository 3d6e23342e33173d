// How the list is filtered and sorted: it stands in the address, so that back, reload and links keep it.
import { useSearchParams } from 'react-router'
import type { ProjectState } from '../shared/types'

const FIELDS = ['text', 'client_id', 'pair', 'year'] as const
export type Field = (typeof FIELDS)[number]

export function useFilters() {
  const [params, setParams] = useSearchParams()
  const set = (name: string, value: string) =>
    setParams(
      (before) => {
        const after = new URLSearchParams(before)
        if (value) after.set(name, value)
        else after.delete(name)
        return after
      },
      { replace: name === 'text' },
    )
  return {
    asked: params.toString(),
    value: (name: Field) => params.get(name) ?? '',
    order: params.get('order') ?? 'due',
    filtered: FIELDS.some((name) => params.get(name)),
    set,
    setState: (state: ProjectState) => set('state', state === 'progress' ? '' : state),
    clear: () =>
      setParams((before) => new URLSearchParams(before.get('state') ? { state: before.get('state')! } : {})),
  }
}
export type Filters = ReturnType<typeof useFilters>

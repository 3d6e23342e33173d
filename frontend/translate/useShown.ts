// Which segments are shown: all, the unfinished, those to come back to; of all files or one.
import { useMemo, useState } from 'react'
import type { Segment } from '../shared/types'
import type { Only } from './companion/TermPlaces'
import { ANYTHING, fitting, isConditions } from './filter/conditions'
import { useFound } from './filter/useFound'
import type { Marks } from './marks'
import type { Noted } from './noted'
import { isUnfinished, type Store } from './store'
import { useKept } from './useKept'

export const FILTERS = ['everything', 'unfinished', 'marked'] as const
export type Filter = (typeof FILTERS)[number]
export const ALL_FILES = 'all'

const FITS: Record<Filter, (segment: Segment) => boolean> = {
  everything: () => true,
  unfinished: isUnfinished,
  marked: (segment) => segment.marked,
}

export function useShown(store: Store, revision: number, known: { noted: Noted; marks: Marks }) {
  const name = `glossema-shown-${store.project}`
  const [filter, setFilter] = useKept<Filter>(`${name}-filter`, 'everything', (one) => FILTERS.includes(one))
  const [file, setFile] = useKept(`${name}-file`, ALL_FILES, (one) => isThere(store, one))
  // Certain segments alone, by a name.
  const [only, setOnly] = useState<Only | null>(null)
  const [conditions, setConditions] = useKept(`${name}-conditions`, ANYTHING, isConditions)
  const found = useFound(store.project, conditions)
  // Decided when the filter is set, so that a row does not vanish under the hand.
  const order = useMemo(
    () =>
      fitting(store.segments, conditions, { ...known, found })
        .filter(
          (segment) =>
            (file === ALL_FILES || segment.document_id === Number(file)) &&
            FITS[filter](segment) &&
            (!only || only.ids.has(segment.id)),
        )
        .map((segment) => segment.id),
    [store, filter, file, only, conditions, found], // eslint-disable-line react-hooks/exhaustive-deps
  )
  const segments = useSegments(store, order, revision)
  // The same object as long as nothing is chosen otherwise: what is drawn by it is not drawn again at each key.
  const choices = useMemo(
    () => ({
      conditions,
      setConditions,
      only,
      setOnly,
      filter,
      setFilter,
      file,
      setFile,
      order,
      showAll: () => {
        setFilter('everything')
        setFile(ALL_FILES)
        setOnly(null)
        setConditions(ANYTHING)
      },
    }),
    [conditions, file, filter, only, order, setConditions, setFile, setFilter],
  )
  return { ...choices, choices, segments }
}

const isThere = (store: Store, file: string) =>
  store.segments.some((segment) => segment.document_id === Number(file))

// Those of an order as they read now. Where all are shown as they stand it is the store's own list, at every
// revision: a long text is not gone through at each key.
function useSegments(store: Store, order: number[], revision: number): Segment[] {
  const all = useMemo(
    () =>
      order.length === store.segments.length && order.every((id, index) => store.segments[index].id === id),
    [order, store],
  )
  return useMemo(
    () => (all ? store.segments : order.map((id) => store.byId.get(id)!)),
    // oxlint-disable-next-line react/exhaustive-deps
    [all, order, store, all || revision],
  )
}

export type Shown = ReturnType<typeof useShown>
export type Choices = Shown['choices']

// Which segments are shown: all, the unfinished, those to come back to; of all files or one.
import { useMemo, useState } from 'react'
import type { Segment } from '../shared/types'
import { isUnfinished, type Store } from './store'

export const FILTERS = ['everything', 'unfinished', 'marked'] as const
export type Filter = (typeof FILTERS)[number]
export const ALL_FILES = 'all'

const FITS: Record<Filter, (segment: Segment) => boolean> = {
  everything: () => true,
  unfinished: isUnfinished,
  marked: (segment) => segment.marked,
}

export function useShown(store: Store, revision: number) {
  const [filter, setFilter] = useState<Filter>('everything')
  const [file, setFile] = useState(ALL_FILES)
  // Decided when the filter is set, so that a row does not vanish under the hand.
  const order = useMemo(
    () =>
      store.segments
        .filter(
          (segment) => (file === ALL_FILES || segment.document_id === Number(file)) && FITS[filter](segment),
        )
        .map((segment) => segment.id),
    [store, filter, file],
  )
  const segments = useMemo(() => order.map((id) => store.byId.get(id)!), [order, store, revision]) // eslint-disable-line react-hooks/exhaustive-deps
  const showAll = () => {
    setFilter('everything')
    setFile(ALL_FILES)
  }
  return { filter, setFilter, file, setFile, order, segments, showAll }
}

export type Shown = ReturnType<typeof useShown>

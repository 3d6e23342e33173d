// A long list of which only what is in sight is drawn; the open row keeps its editor when it is scrolled out of
// sight, and comes into sight when another one is opened.
import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useRef } from 'react'
import { withOpen } from './withOpen'

interface Rows {
  keys: number[]
  // Key of the open row, null where none is.
  open: number | null
  // Height of a row before it is measured, in pixels.
  roughly: number
}
const BESIDE = 8

export function useLongList({ keys, open, roughly }: Rows) {
  const scroll = useRef<HTMLDivElement>(null)
  const openAt = open === null ? -1 : keys.indexOf(open)
  const rows = useVirtualizer({
    count: keys.length,
    getScrollElement: () => scroll.current,
    overscan: BESIDE,
    getItemKey: (index) => keys[index],
    estimateSize: () => roughly,
    rangeExtractor: (range) => withOpen(defaultRangeExtractor(range), openAt),
  })
  useEffect(() => {
    if (openAt >= 0) rows.scrollToIndex(openAt, { align: 'auto' })
    // Only when another one is opened.
  }, [open]) // eslint-disable-line react-hooks/exhaustive-deps
  return { scroll, rows, openAt }
}

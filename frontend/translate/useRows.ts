// The rows of the text, of which only those in sight are drawn.
import { defaultRangeExtractor, useVirtualizer, type Range } from '@tanstack/react-virtual'
import { useCallback, type RefObject } from 'react'
import type { Segment } from '../shared/types'
import { withOpen } from '../shared/withOpen'

// What a row takes before it is measured: letters to a line, the height of a line, what stands around.
const SOURCE_LINE = 92
const TARGET_LINE = 88
const LINE_HEIGHT = 25
const AROUND = 18

const estimate = ({ source, target }: Segment) => {
  const lines = Math.ceil(source.length / SOURCE_LINE) + Math.ceil(target.length / TARGET_LINE)
  return AROUND + LINE_HEIGHT * lines
}

interface Parts {
  scroll: RefObject<HTMLDivElement | null>
  order: number[]
  segments: Segment[]
  openAt: number
}

export function useRows({ scroll, order, segments, openAt }: Parts) {
  // One function for one order: all rows are laid out anew whenever it is another.
  const keyOf = useCallback((index: number) => order[index], [order])
  return useVirtualizer({
    count: segments.length,
    getScrollElement: () => scroll.current,
    overscan: 8,
    rangeExtractor: (range: Range) => withOpen(defaultRangeExtractor(range), openAt),
    getItemKey: keyOf,
    estimateSize: (index) => estimate(segments[index]),
  })
}

export type Rows = ReturnType<typeof useRows>

// The open segment: which it is, and that the text does not jump when another is opened.
import { useCallback, useLayoutEffect, useRef, useState, type RefObject } from 'react'
import type { Segment } from '../shared/types'
import { useRows } from './useRows'

// How long, in ms, late measurements may still move the text under an opened segment.
const SETTLE = 900
// The card stands between here, from the top in px, and this part of the height.
const HIGHEST = 40
const LOWEST = 0.45
const FIRST = 120

// Where on the screen the top of the segment to be opened should come to stand: where the card was, else
// where its row is now.
function topFor(column: HTMLElement, row: HTMLElement | null) {
  const frame = column.getBoundingClientRect()
  const card = column.querySelector<HTMLElement>('.card')
  if (card) {
    const top = card.getBoundingClientRect().top - frame.top
    return Math.min(Math.max(top, HIGHEST), frame.height * LOWEST)
  }
  return row ? row.getBoundingClientRect().top - frame.top : FIRST
}

const rowAt = (column: HTMLElement | null, index: number) =>
  column?.querySelector<HTMLElement>(`[data-index="${index}"]`) ?? null

export function useOpen(scroll: RefObject<HTMLDivElement | null>, order: number[], segments: Segment[]) {
  const [open, setOpen] = useState<number | null>(null)
  const openAt = open === null ? -1 : order.indexOf(open)
  const rows = useRows({ scroll, order, segments, openAt })
  const anchor = useRef<number | null>(null)
  // What opens a segment stays the same while the user types, so that nothing is rendered again at each key.
  const latest = useRef(segments)
  useLayoutEffect(() => {
    latest.current = segments
  })

  const openRow = useCallback(
    (index: number, top?: number) => {
      if (index < 0 || index >= order.length || latest.current[index].locked) return
      const column = scroll.current
      const row = rowAt(column, index)
      const wanted = top ?? (column ? topFor(column, row) : FIRST)
      // Also where the window is low.
      anchor.current = column ? Math.min(wanted, column.clientHeight * LOWEST) : wanted
      if (!row) rows.scrollToIndex(index, { align: 'start' })
      setOpen(order[index])
      window.history.replaceState(null, '', `#${order[index]}`)
    },
    [order, rows, scroll],
  )
  // The next segment that the user may edit, above or below.
  const openBeside = useCallback(
    (step: 1 | -1) => {
      let index = openAt + step
      while (latest.current[index]?.locked) index += step
      openRow(index)
    },
    [openAt, openRow],
  )
  useSteady(scroll, anchor, openAt, open)
  const close = useCallback(() => setOpen(null), [])
  return { open, openAt, openRow, openBeside, close, rows }
}

// The column never jumps: until things have settled, or a hand scrolls, the card's top is kept where it was
// meant to be.
function useSteady(
  scroll: RefObject<HTMLDivElement | null>,
  anchor: RefObject<number | null>,
  openAt: number,
  open: number | null,
) {
  useLayoutEffect(() => {
    const column = scroll.current
    const top = anchor.current
    if (top === null || openAt < 0 || !column) return
    const until = performance.now() + SETTLE
    let frame = 0
    const keep = () => {
      const row = rowAt(column, openAt)
      const off = row ? row.getBoundingClientRect().top - column.getBoundingClientRect().top - top : 0
      if (Math.abs(off) > 0.5) column.scrollTop += off
      if (performance.now() < until) frame = requestAnimationFrame(keep)
    }
    const stop = () => cancelAnimationFrame(frame)
    keep()
    column.addEventListener('wheel', stop, { passive: true })
    column.addEventListener('pointerdown', stop)
    return () => {
      stop()
      column.removeEventListener('wheel', stop)
      column.removeEventListener('pointerdown', stop)
    }
  }, [anchor, open, openAt, scroll])
}

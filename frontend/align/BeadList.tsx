// The pairs, of which only those in sight are drawn.
import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { withOpen } from '../shared/withOpen'
import { BeadRow } from './BeadRow'
import { OpenBead } from './OpenBead'
import type { AlignmentPage } from './queries'
import type { Aligning } from './useAligning'
import { useAlignKeys } from './useAlignKeys'

interface Props {
  page: AlignmentPage
  aligning: Aligning
}
const ROUGHLY = 46

export function BeadList({ page, aligning }: Props) {
  const { t } = useTranslation()
  const { shown, at } = aligning
  const scroll = useRef<HTMLDivElement>(null)
  const openAt = at === null ? -1 : shown.indexOf(at)
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroll.current,
    overscan: 8,
    getItemKey: (index) => shown[index],
    estimateSize: () => ROUGHLY,
    rangeExtractor: (range) => withOpen(defaultRangeExtractor(range), openAt),
  })
  useAlignKeys(aligning, page.beads)
  useEffect(() => {
    if (openAt >= 0) rows.scrollToIndex(openAt, { align: 'auto' })
    // Only when another one is opened.
  }, [at]) // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <div ref={scroll} className="beads">
      {shown.length === 0 && <p className="quiet">{t('align.noneOfThem')}</p>}
      <ol style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map((row) => {
          const place = shown[row.index]
          const Row = place === at ? OpenBead : BeadRow
          return (
            <li
              key={row.key}
              ref={rows.measureElement}
              data-index={row.index}
              style={{ transform: `translateY(${row.start}px)` }}
            >
              <Row {...{ place, aligning, page }} bead={page.beads[place]} />
            </li>
          )
        })}
      </ol>
    </div>
  )
}

// The passages of a pass, of which only those in sight are drawn; the open one keeps its editor.
import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { withOpen } from '../../shared/withOpen'
import type { Drafts } from './drafts'
import { OpenPassage } from './OpenPassage'
import { PassageItem } from './PassageItem'
import type { PassPage } from './queries'
import type { Reading } from './usePass'

interface Props {
  page: PassPage
  reading: Reading
  drafts: Drafts
}
const ROUGHLY = 92

export function PassageList({ page, reading, drafts }: Props) {
  const { t } = useTranslation()
  const { shown, openId } = reading
  const scroll = useRef<HTMLDivElement>(null)
  const openAt = shown.findIndex(({ segment_id }) => segment_id === openId)
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroll.current,
    overscan: 8,
    getItemKey: (index) => shown[index].segment_id,
    estimateSize: () => ROUGHLY,
    rangeExtractor: (range) => withOpen(defaultRangeExtractor(range), openAt),
  })
  useEffect(() => {
    if (openAt >= 0) rows.scrollToIndex(openAt, { align: 'auto' })
    // Only when another one is opened.
  }, [openId]) // eslint-disable-line react-hooks/exhaustive-deps
  const files = page.documents.length > 1 ? page.documents : []
  return (
    <div ref={scroll} className="passages">
      {shown.length === 0 && <p className="quiet">{t('review.pass.none')}</p>}
      <ol style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map((row) => {
          const passage = shown[row.index]
          const isFirst = shown[row.index - 1]?.document_id !== passage.document_id
          const file = isFirst && files.find(({ id }) => id === passage.document_id)?.name
          const remarks = page.remarks.filter((one) => one.segment_id === passage.segment_id)
          const Row = row.index === openAt ? OpenPassage : PassageItem
          return (
            <li
              key={row.key}
              ref={rows.measureElement}
              data-index={row.index}
              style={{ transform: `translateY(${row.start}px)` }}
            >
              {file && <h2 className="small">{file}</h2>}
              <Row {...{ page, passage, remarks, reading, drafts }} first={row.index === 0} />
            </li>
          )
        })}
      </ol>
    </div>
  )
}

// The passages of a pass, of which only those in sight are drawn; the open one keeps its editor.
import { useTranslation } from 'react-i18next'
import { useLongList } from '../../shared/useLongList'
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
  const { scroll, rows, openAt } = useLongList({
    keys: shown.map(({ segment_id }) => segment_id),
    open: openId,
    roughly: ROUGHLY,
  })
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

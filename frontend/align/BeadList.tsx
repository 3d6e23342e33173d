// The pairs, of which only those in sight are drawn.
import { useTranslation } from 'react-i18next'
import { useLongList } from '../shared/useLongList'
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
  const { scroll, rows } = useLongList({ keys: shown, open: at, roughly: ROUGHLY })
  useAlignKeys(aligning, page.beads)
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

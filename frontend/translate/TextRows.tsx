// The text itself: segments as the document has them, the open one as a card.
import type { RefObject } from 'react'
import { useTranslation } from 'react-i18next'
import type { Project, Segment } from '../shared/types'
import { Card } from './card/Card'
import type { CardHandle } from './card/cardHandle'
import { Pair } from './Pair'
import type { Store } from './store'
import type { useCuts } from './useCuts'
import type { Rows } from './useRows'
import type { Shown } from './useShown'

// Room below the last segment, so that its card can stand where the eyes are.
const BELOW = 300

interface Props {
  project: Project
  // Names of files by number, where there are several.
  files: Map<number, string>
  store: Store
  shown: Shown
  open: number | null
  rows: Rows
  scroll: RefObject<HTMLDivElement | null>
  card: RefObject<CardHandle | null>
  cuts: ReturnType<typeof useCuts>
  say: (text: string) => void
  onOpen: (index: number) => void
  onEntry: (entry: number) => void
  onFinish: () => void
}

const unitOf = (segment?: Segment) => segment?.key.slice(0, segment.key.lastIndexOf(':'))

// Does a segment begin a heading?
const begins = (segment: Segment, before?: Segment) =>
  segment.block.startsWith('heading') && unitOf(segment) !== unitOf(before)

export function TextRows(props: Props) {
  const { t } = useTranslation()
  const { shown, rows, scroll } = props
  if (!shown.order.length)
    return (
      <div className="notice">
        <button type="button" className="link" onClick={shown.showAll}>
          {t('translate.none')}
        </button>
      </div>
    )
  return (
    <div className="scroll" ref={scroll} tabIndex={-1}>
      <div className="rows" role="list" style={{ height: rows.getTotalSize() + BELOW }}>
        {rows.getVirtualItems().map((item) => (
          <div
            key={item.key}
            className="row"
            role="listitem"
            data-index={item.index}
            ref={rows.measureElement}
            style={{ transform: `translateY(${item.start}px)` }}
          >
            <Row index={item.index} {...props} />
          </div>
        ))}
      </div>
    </div>
  )
}

function Row({ index, ...props }: Props & { index: number }) {
  const { files, project, store, shown, open, card, cuts, say, onOpen, onFinish, onEntry } = props
  const segment = shown.segments[index]
  const before = shown.segments[index - 1]
  const file = before?.document_id === segment.document_id ? null : files.get(segment.document_id)
  if (segment.id !== open)
    return (
      <Pair
        segment={segment}
        project={project}
        index={index}
        begins={begins(segment, before)}
        file={file}
        onOpen={onOpen}
      />
    )
  return (
    <Card
      key={segment.id}
      ref={card}
      segment={segment}
      store={store}
      project={project}
      cutting={cuts.cutting}
      onCut={cuts.split}
      onLeaveCut={() => cuts.setCutting(false)}
      onFinish={onFinish}
      onSay={say}
      onEntry={onEntry}
    />
  )
}

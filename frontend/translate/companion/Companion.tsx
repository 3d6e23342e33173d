// The companion beside the text: the page as it will look, words looked up, and the history of the open
// segment.
import { memo, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { KEYS, shown } from '../../shared/keys'
import type { Project, Segment, Version } from '../../shared/types'
import type { Chosen } from '../card/chosenText'
import type { Store } from '../store'
import { Page } from './Page'
import { Past } from './Past'
import { Reference } from './Reference'
import { Search } from './Search'
import { Terms } from './Terms'

const VIEWS = ['page', 'search', 'terms', 'past', 'reference'] as const
type View = (typeof VIEWS)[number]

// Words asked for by a key; turn counts the asking.
export type Wanted = Chosen & { turn: number }
// An entry asked for, or the first of the segment.
export interface WantedEntry {
  id: number | null
  turn: number
}

interface Props {
  project: Project
  store: Store
  revision: number
  open: Segment | null
  document: number
  wanted: Wanted
  entry: WantedEntry
  onInsert: (value: string) => void
  onOpen: (id: number) => void
  onRestore: (version: Version) => void
  onFold: () => void
}

export const Companion = memo(function Companion(props: Props) {
  const { wanted, entry, onFold, project } = props
  const { t } = useTranslation()
  const [view, setView] = useState<View>(wanted.turn ? 'search' : 'page')
  const [turn, setTurn] = useState(wanted.turn)
  // A key asked for words: show where they are looked up.
  if (turn !== wanted.turn) {
    setTurn(wanted.turn)
    setView('search')
  }
  const [entryTurn, setEntryTurn] = useState(entry.turn)
  if (entryTurn !== entry.turn) {
    setEntryTurn(entry.turn)
    setView('terms')
  }
  return (
    <aside className="companion" aria-label={t('companion.label')}>
      <div className="tabs">
        <div role="tablist" aria-label={t('companion.label')}>
          {VIEWS.filter((name) => name !== 'reference' || project.reference_files > 0).map((name) => (
            <button
              key={name}
              type="button"
              role="tab"
              id={`tab-${name}`}
              aria-controls="companion-panel"
              aria-selected={view === name}
              onClick={() => setView(name)}
            >
              {t(`companion.${name}`)}
            </button>
          ))}
        </div>
        <button
          type="button"
          className="fold"
          aria-label={t('companion.fold')}
          title={`${t('companion.fold')} ${shown(KEYS.companion)}`}
          onClick={onFold}
        >
          →
        </button>
      </div>
      <div
        className="panel"
        role="tabpanel"
        id="companion-panel"
        aria-labelledby={`tab-${view}`}
        tabIndex={0}
      >
        <Panel view={view} {...props} />
      </div>
    </aside>
  )
})

function Panel({ view, ...props }: Props & { view: View }) {
  const { t } = useTranslation()
  const { open, wanted } = props
  if (view === 'page') return <Page {...props} />
  if (view === 'reference') return <Reference project={props.project.id} />
  if (view === 'terms') return <Terms {...props} />
  if (view === 'search') return <Search key={wanted.turn} {...props} />
  if (open) return <Past key={open.id} segment={open} onRestore={props.onRestore} />
  return <p className="quiet">{t('companion.openFirst')}</p>
}

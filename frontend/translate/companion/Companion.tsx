// The companion beside the text: the page as it will look, words looked up, and the history of the open
// segment.
import { memo, useContext, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { KEYS, shown } from '../../shared/keys'
import type { Origin, Project, Segment, Version } from '../../shared/types'
import type { Store } from '../store'
import { Film } from '../timed/Film'
import { TimedContext } from '../timed/useTimed'
import { Findings } from './Findings'
import { Notes } from './Notes'
import { Page } from './Page'
import { Past } from './Past'
import { Reference } from './Reference'
import { Search } from './Search'
import { Terms } from './Terms'
import type { Only } from './TermPlaces'
import { useTurn, type Answer } from './useTurn'
import { VIEWS, type Asked, type View } from './useCompanion'

interface Props {
  project: Project
  store: Store
  revision: number
  open: Segment | null
  document: number
  asked: Asked
  onInsert: (value: string) => void
  onOpen: (id: number) => void
  onRestore: (version: Version) => void
  onWrite: (text: string, origin: Origin) => void
  onOnly: (only: Only) => void
  apart: boolean
  onFold: () => void
  onApart: () => void
  // Back to the text.
  onBack: () => void
}

export const Companion = memo(function Companion(props: Props) {
  const { asked, apart, onFold, onApart, project } = props
  const { t } = useTranslation()
  const timed = useContext(TimedContext)
  const isThere: Partial<Record<View, boolean>> = {
    film: timed !== null,
    // The film shows how it will look.
    page: timed === null,
    reference: project.reference_files > 0,
  }
  const [chosen, setView] = useState<View>(asked.view)
  const otherwise = timed ? 'film' : 'page'
  const view = (isThere[chosen] ?? true) ? chosen : otherwise
  const [turn, setTurn] = useState(asked.turn)
  const answer = useTurn(asked.turn)
  // A key asked for a view.
  if (turn !== asked.turn) {
    setTurn(asked.turn)
    setView(asked.view)
  }
  return (
    <aside className="companion" aria-label={t('companion.label')}>
      <div className="tabs">
        <div role="tablist" aria-label={t('companion.label')}>
          {VIEWS.filter((name) => isThere[name] ?? true).map((name) => (
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
          aria-label={t(apart ? 'companion.together' : 'companion.apart')}
          title={`${t(apart ? 'companion.together' : 'companion.apart')} ${shown(KEYS.apartWindow)}`}
          onClick={onApart}
        >
          {apart ? '⇤' : '⇱'}
        </button>
        {!apart && (
          <button
            type="button"
            className="fold"
            aria-label={t('companion.fold')}
            title={`${t('companion.fold')} ${shown(KEYS.companion)}`}
            onClick={onFold}
          >
            →
          </button>
        )}
      </div>
      <div
        className="panel"
        role="tabpanel"
        id="companion-panel"
        aria-labelledby={`tab-${view}`}
        tabIndex={0}
      >
        <Panel view={view} answer={answer} {...props} />
      </div>
    </aside>
  )
})

function Panel({ view, answer, ...props }: Props & { view: View; answer: Answer }) {
  const { t } = useTranslation()
  const { open, asked } = props
  if (view === 'film') return <Film {...props} />
  // Two documents may have the same frame: each has a page of its own.
  if (view === 'page') return <Page key={props.document} {...props} />
  if (view === 'reference') return <Reference project={props.project.id} />
  if (view === 'terms') return <Terms {...props} />
  if (view === 'findings' && open)
    return <Findings project={props.project} segment={open} onWrite={props.onWrite} />
  if (view === 'notes') return <Notes {...props} answer={asked.view === 'notes' ? answer : undefined} />
  if (view === 'search') return <Search key={asked.turn} {...props} />
  if (open)
    return (
      <Past
        key={open.id}
        segment={open}
        answer={asked.view === 'past' ? answer : undefined}
        onRestore={props.onRestore}
        onBack={props.onBack}
      />
    )
  return <p className="quiet">{t('companion.openFirst')}</p>
}

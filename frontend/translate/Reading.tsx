// The strip, the text with the open segment as a card in its place, the companion.
import { useCallback, useMemo, useRef, useState, useSyncExternalStore } from 'react'
import { useTranslation } from 'react-i18next'
import { Frame } from '../shared/Frame'
import { useSettings } from '../shared/settings'
import type { Project, Version } from '../shared/types'
import { useAct } from '../shared/useAct'
import type { CardHandle } from './card/Card'
import { ColumnHead } from './ColumnHead'
import { Companion, type Wanted, type WantedEntry } from './companion/Companion'
import type { Listing } from './queries'
import { Strip } from './Strip'
import type { Store } from './store'
import { TextRows } from './TextRows'
import { Unsent } from './Unsent'
import { useActions } from './useActions'
import { useCuts } from './useCuts'
import { useFolded } from './useFolded'
import { AFAR, useGoing } from './useGoing'
import { useOpen } from './useOpen'
import { useShown } from './useShown'
import { useTextKeys } from './useTextKeys'

interface Props {
  project: Project
  listing: Listing
  store: Store
  said: string
  say: (text: string) => void
  hash: string
}

export function Reading({ project, listing, store, said, say, hash }: Props) {
  const { t } = useTranslation()
  const { mode } = useSettings()
  const { act } = useAct()
  const revision = useSyncExternalStore(store.subscribe, store.snapshot)
  const card = useRef<CardHandle>(null)
  const scroll = useRef<HTMLDivElement>(null)
  const shown = useShown(store, revision)
  const opening = useOpen(scroll, shown.order, shown.segments)
  const { open, openAt, openRow, close, rows } = opening
  const { nextUnfinished, goTo } = useGoing({ project, store, shown, opening, hash, say })
  const cuts = useCuts(project.id, store, open, act, say)
  const { folded, setFolded, fold } = useFolded()
  const [wanted, setWanted] = useState<Wanted>({ text: '', side: 'source', turn: 0 })
  const lookUp = useCallback(() => {
    const chosen = card.current?.selected() ?? { text: '', side: 'source' as const }
    setFolded(false)
    setWanted((now) => ({ ...chosen, turn: now.turn + 1 }))
  }, [setFolded])
  const [entry, setEntry] = useState<WantedEntry>({ id: null, turn: 0 })
  const showEntry = useCallback(
    (id = card.current?.firstEntry() ?? null) => {
      setFolded(false)
      setEntry((now) => ({ id, turn: now.turn + 1 }))
    },
    [setFolded],
  )
  const fromMap = useCallback((index: number) => openRow(index, AFAR), [openRow])
  const insert = useCallback((text: string) => card.current?.insert(text), [])
  const restore = useCallback((old: Version) => card.current?.write(old.target, old.origin), [])
  const numbered = useMemo(
    () => ({
      proposal: (number: number) => card.current?.take(number),
      term: (number: number) => card.current?.putTerm(number),
      termbase: (number: number) => card.current?.addTerm(number),
    }),
    [],
  )
  const actions = useActions({
    card,
    scroll,
    store,
    opening,
    cuts,
    act,
    say,
    nextUnfinished,
    lookUp,
    fold,
    showEntry,
  })
  useTextKeys(actions, numbered)

  const done = useMemo(() => store.done(), [store, revision]) // eslint-disable-line react-hooks/exhaustive-deps
  const segment = open === null ? null : (store.byId.get(open) ?? null)
  const firstShown = shown.segments[rows.range?.startIndex ?? 0]
  const current = segment?.document_id ?? firstShown?.document_id ?? listing.documents[0]?.id
  return (
    <Frame project={project} words={{ done: done.words, total: done.total }}>
      <div className={`translate${folded ? ' folded' : ''}`}>
        <Strip
          segments={shown.segments}
          revision={revision}
          from={rows.range?.startIndex ?? 0}
          to={rows.range?.endIndex ?? 0}
          open={openAt}
          mode={mode}
          onGo={fromMap}
        />
        <section className="column" aria-label={t('stages.translate')}>
          <ColumnHead
            {...{ listing, shown, act, nextUnfinished }}
            wordsLeft={done.total - done.words}
            onFilter={close}
          />
          <TextRows
            {...{ project, store, shown, open, rows, scroll, card, cuts, say }}
            onOpen={openRow}
            onFinish={actions.finish!}
            onEntry={showEntry}
          />
          <Unsent outbox={store.outbox} open={open} onGo={goTo} />
          {said && (
            <div className="said" role="status">
              {said}
            </div>
          )}
          {folded && (
            <button
              type="button"
              className="unfold"
              aria-label={t('companion.unfold')}
              onClick={() => setFolded(false)}
            >
              ←
            </button>
          )}
        </section>
        {!folded && current !== undefined && (
          <Companion
            {...{ project, wanted, entry, store, revision, open: segment, document: current }}
            onInsert={insert}
            onFold={fold}
            onOpen={goTo}
            onRestore={restore}
          />
        )}
      </div>
    </Frame>
  )
}

// Translate: the strip, the text with the open segment as a card in its place, the companion.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { defaultRangeExtractor, useVirtualizer, type Range } from '@tanstack/react-virtual'
import { App } from 'antd'
import {
  memo,
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from 'react'
import { useTranslation } from 'react-i18next'
import { useLocation, useNavigate, useParams } from 'react-router'
import { api } from '../shared/api'
import { commands } from '../shared/commands'
import { Failure, Frame, Waiting } from '../shared/Frame'
import { number } from '../shared/i18n'
import { KEYS, matches, proposalKey, type Command } from '../shared/keys'
import { direction } from '../shared/languages'
import { useProjectNews } from '../shared/live'
import { Key, MenuInPlace, Moon } from '../shared/parts'
import { useSettings } from '../shared/settings'
import type { Project, Segment, Version } from '../shared/types'
import { Card, Where, missingCodes, originText, proposalsQuery, type CardHandle } from './Card'
import { Companion } from './Companion'
import { isUnfinished, type Store } from './store'
import { Unsent } from './Unsent'
import { useStore } from './useStore'
import { Strip } from './Strip'
import { Written } from './Written'

type Listing = { documents: { id: number; name: string }[]; segments: Segment[] }
const AHEAD = 3
// How long, in ms, late measurements may still move the text under an opened segment.
const SETTLE = 900

export function Translate() {
  const id = Number(useParams().id)
  const cache = useQueryClient()
  // Rules or a new version have cut the text anew.
  useProjectNews(id, (news) => {
    if (news.event === 'recut') {
      void cache.invalidateQueries({ queryKey: ['segments', id] })
      void cache.invalidateQueries({ queryKey: ['page'] })
    }
  })
  const project = useQuery({ queryKey: ['project', id], queryFn: () => api.get<Project>(`/projects/${id}`) })
  const listing = useQuery({
    queryKey: ['segments', id],
    queryFn: () => api.get<Listing>(`/projects/${id}/segments`),
    staleTime: Infinity,
    gcTime: 0,
    refetchOnReconnect: false,
  })
  const error = project.error ?? listing.error
  if (project.data && listing.data) return <Text key={id} project={project.data} listing={listing.data} />
  return (
    <Frame project={project.data}>
      {error ? (
        <Failure
          error={error}
          again={() => {
            void project.refetch()
            void listing.refetch()
          }}
        />
      ) : (
        <Waiting />
      )}
    </Frame>
  )
}

function Text({ project, listing }: { project: Project; listing: Listing }) {
  const cache = useQueryClient()
  const { mode } = useSettings()
  const go = useNavigate()
  const hash = useLocation().hash
  const [said, setSaid] = useState('')
  const say = useCallback((text: string) => {
    setSaid(text)
  }, [])
  const store = useStore(project.id, listing.segments)
  useEffect(() => {
    if (said) {
      const timer = window.setTimeout(() => setSaid(''), 4000)
      return () => window.clearTimeout(timer)
    }
  }, [said])
  if (!store) return <Frame project={project}>{null}</Frame>
  return <Reading {...{ project, listing, store, mode, said, say, cache, hash, go }} />
}

interface ReadingProps {
  project: Project
  listing: Listing
  store: Store
  mode: string
  said: string
  say: (text: string) => void
  cache: ReturnType<typeof useQueryClient>
  hash: string
  go: ReturnType<typeof useNavigate>
}

function Reading({ project, listing, store, mode, said, say, cache, hash, go }: ReadingProps) {
  const { t } = useTranslation()
  const revision = useSyncExternalStore(store.subscribe, store.snapshot)
  const [open, setOpen] = useState<number | null>(null)
  const [filter, setFilter] = useState('everything')
  const [file, setFile] = useState('all')
  const [cutting, setCutting] = useState(false)
  const [wanted, setWanted] = useState<{ text: string; side: 'source' | 'target'; turn: number }>({
    text: '',
    side: 'source',
    turn: 0,
  })
  const { user } = useSettings()
  const floor = Number(user.preferences.floor ?? 50)
  const prefer = (preferences: Record<string, unknown>) =>
    void api
      .patch('/settings', { preferences })
      .then(() =>
        Promise.all([
          cache.invalidateQueries({ queryKey: ['me'] }),
          cache.invalidateQueries({ queryKey: ['proposals'] }),
        ]),
      )
      .catch((error: Error) => message.error(error.message))
  const { message } = App.useApp()
  const [folded, setFolded] = useState(() => localStorage.getItem('glossema.folded') === '1')
  const card = useRef<CardHandle>(null)
  const scroll = useRef<HTMLDivElement>(null)
  // Where on the screen the top of the segment that is opened should come to stand.
  const anchor = useRef<number | null>(null)
  useEffect(() => {
    localStorage.setItem('glossema.folded', folded ? '1' : '0')
  }, [folded])

  // Which segments are shown is decided when the filter is set, so that a row does not vanish under the hand.
  const order = useMemo(
    () =>
      store.segments
        .filter(
          (segment) =>
            (file === 'all' || segment.document_id === Number(file)) &&
            (filter === 'everything' || (filter === 'unfinished' ? isUnfinished(segment) : segment.marked)),
        )
        .map((segment) => segment.id),
    [store, filter, file],
  )
  const segments = useMemo(() => order.map((one) => store.byId.get(one)!), [order, store, revision]) // eslint-disable-line react-hooks/exhaustive-deps
  const openAt = open === null ? -1 : order.indexOf(open)
  const openSegment = open === null ? null : (store.byId.get(open) ?? null)

  const rows = useVirtualizer({
    count: order.length,
    getScrollElement: () => scroll.current,
    overscan: 8,
    // The open segment keeps its editor, its undo and its keys when it is scrolled out of sight.
    rangeExtractor: (range: Range) => withOpen(defaultRangeExtractor(range), openAt),
    getItemKey: (index) => order[index],
    estimateSize: (index) => {
      const segment = segments[index]
      return (
        18 +
        25 *
          (Math.ceil(segment.source.length / 92) +
            (segment.target ? Math.ceil(segment.target.length / 88) : 0))
      )
    },
  })
  const items = rows.getVirtualItems()

  const openSegmentAt = useCallback(
    (index: number, top?: number) => {
      if (index < 0 || index >= order.length) return
      const element = scroll.current
      const row = element?.querySelector<HTMLElement>(`[data-index="${index}"]`)
      const current = element?.querySelector<HTMLElement>('.card')
      const frame = element?.getBoundingClientRect()
      anchor.current =
        top ??
        (current && frame
          ? Math.min(Math.max(current.getBoundingClientRect().top - frame.top, 40), frame.height * 0.45)
          : row && frame
            ? row.getBoundingClientRect().top - frame.top
            : 120)
      if (!row) rows.scrollToIndex(index, { align: 'start' })
      setOpen(order[index])
      setCutting(false)
      window.history.replaceState(null, '', `#${order[index]}`)
    },
    [order, rows],
  )

  // The column never jumps: until things have settled, or a hand scrolls, the card's top is kept where it was
  // meant to be.
  useLayoutEffect(() => {
    const element = scroll.current
    if (anchor.current === null || openAt < 0 || !element) return
    const top = anchor.current
    const until = performance.now() + SETTLE
    let frame = 0
    const keep = () => {
      const row = element.querySelector<HTMLElement>(`[data-index="${openAt}"]`)
      const off = row ? row.getBoundingClientRect().top - element.getBoundingClientRect().top - top : 0
      if (Math.abs(off) > 0.5) element.scrollTop += off
      if (performance.now() < until) frame = requestAnimationFrame(keep)
    }
    const stop = () => cancelAnimationFrame(frame)
    keep()
    element.addEventListener('wheel', stop, { passive: true })
    element.addEventListener('pointerdown', stop)
    return () => {
      stop()
      element.removeEventListener('wheel', stop)
      element.removeEventListener('pointerdown', stop)
    }
  }, [openAt, open])

  useEffect(() => {
    const wanted = Number(hash.slice(1)) || project.last_segment_id
    const index = wanted
      ? order.indexOf(wanted)
      : order.findIndex((one) => isUnfinished(store.byId.get(one)!))
    openSegmentAt(Math.max(index, 0), 150)
    // Only when the text is opened, or a link leads to another segment of it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [store, hash])
  useEffect(() => {
    void api.patch(`/projects/${project.id}`, { opened: true })
  }, [project.id])

  // Proposals for what comes next are there before it is opened.
  useEffect(() => {
    if (openAt < 0) return
    let found = 0
    for (let index = openAt + 1; index < order.length && found < AHEAD; index += 1) {
      if (!isUnfinished(store.byId.get(order[index])!)) continue
      void cache.prefetchQuery({ ...proposalsQuery(order[index]), staleTime: 20_000 })
      found += 1
    }
  }, [openAt, order, store, cache])

  const nextUnfinished = useCallback(() => {
    const count = order.length
    for (let step = 1; step <= count; step += 1) {
      const index = (Math.max(openAt, -1) + step + count) % count
      if (isUnfinished(store.byId.get(order[index])!)) return openSegmentAt(index)
    }
    // What the last segment lost is not talked over.
    const last = open === null ? undefined : store.byId.get(open)
    const codes = last ? missingCodes(last.source, last.target).join(' ') : ''
    say(codes ? t('translate.lostAtEnd', { codes }) : t('translate.allDone'))
  }, [open, openAt, order, openSegmentAt, say, store, t])

  // A text cut otherwise comes anew from the server; what is typed is there before.
  const recut = useCallback(
    async (work: () => Promise<{ open: number | null; after?: string }>) => {
      setCutting(false)
      try {
        await store.outbox.emptied()
        const answer = await work()
        await Promise.all([
          cache.invalidateQueries({ queryKey: ['segments', project.id] }),
          cache.invalidateQueries({ queryKey: ['page'] }),
        ])
        if (answer.open) void go(`#${answer.open}`, { replace: true })
        return answer
      } catch (error) {
        void message.error(
          error instanceof Error && error.message !== 'offline' ? error.message : t('app.offline'),
        )
      }
    },
    [cache, go, message, project.id, store, t],
  )
  const split = useCallback(
    (at: number) => {
      if (open !== null) void recut(() => api.post(`/segments/${open}/cut`, { at }))
    },
    [open, recut],
  )
  const never = useCallback(
    (text: string) => {
      message.destroy('never')
      void api
        .post(`/projects/${project.id}/exceptions`, { text })
        .then(() => say(t('cut.neverKept', { text })))
        .catch((error: Error) => message.error(error.message))
    },
    [message, project.id, say, t],
  )
  const join = useCallback(() => {
    if (open === null) return
    void recut(() => api.delete(`/segments/${open}/cut`)).then((answer) => {
      if (!answer?.after) return
      const text = answer.after
      void message.open({
        key: 'never',
        type: 'info',
        icon: <span />,
        duration: 12,
        content: (
          <>
            {t('cut.joined')}{' '}
            <button type="button" className="link" onClick={() => never(text)}>
              {t('cut.never', { text })}
            </button>
          </>
        ),
      })
    })
  }, [message, never, open, recut, t])

  const lookUp = useCallback(() => {
    const chosen = card.current?.selected() ?? { text: '', side: 'source' as const }
    setFolded(false)
    setWanted((now) => ({ ...chosen, turn: now.turn + 1 }))
  }, [])
  const insert = useCallback((text: string) => card.current?.insert(text), [])
  const apart = useCallback(() => {
    const segment = open === null ? undefined : store.byId.get(open)
    if (segment)
      void store.outbox
        .emptied()
        .then(() => api.patch<{ segment: Segment }>(`/segments/${segment.id}`, { exempt: !segment.exempt }))
        .then((answer) => {
          store.take([answer.segment])
          say(t(answer.segment.exempt ? 'translate.apartOn' : 'translate.apartOff'))
        })
        .catch((error: Error) => message.error(error.message))
  }, [message, open, say, store, t])
  const finish = useCallback(() => {
    if (card.current?.finish()) nextUnfinished()
  }, [nextUnfinished])
  const close = useCallback(() => {
    setOpen(null)
    scroll.current?.focus()
  }, [])

  const actions = useMemo<Partial<Record<Command, () => void>>>(
    () => ({
      finish,
      close,
      nextUnfinished,
      nextSegment: () => openSegmentAt(openAt + 1),
      previousSegment: () => openSegmentAt(openAt - 1),
      nextProposal: () => card.current?.choose(1),
      previousProposal: () => card.current?.choose(-1),
      takeProposal: () => card.current?.take(),
      missingCode: () => card.current?.missingCode(),
      takeSource: () => card.current?.takeSource(),
      comeBack: () => {
        if (open !== null) store.mark(open)
      },
      split: () => setCutting((now) => !now && open !== null),
      join,
      lookUp,
      apart,
      companion: () => setFolded((now) => !now),
      undo: () => card.current?.undo(),
      redo: () => card.current?.redo(),
    }),
    [finish, close, nextUnfinished, openSegmentAt, openAt, open, store, join, lookUp, apart],
  )
  useEffect(() => commands.offer(actions), [actions])
  useEffect(
    () =>
      commands.offerNamed(
        ['everything', 'unfinished', 'marked'].map((what) => ({
          name: t('palette.show', { what: t(`translate.${what}`) }),
          run: () => {
            setFilter(what)
            setOpen(null)
          },
        })),
      ),
    [t],
  )

  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      // While a character is being composed, keys belong to it.
      if (event.isComposing) return
      if (document.querySelector('.ant-modal-wrap:not([style*="display: none"])')) return
      const command = (Object.keys(actions) as Command[]).find(
        (name) => name !== 'undo' && name !== 'redo' && matches(event, KEYS[name]),
      )
      if (command) {
        event.preventDefault()
        return actions[command]?.()
      }
      for (let digit = 1; digit <= 9; digit += 1)
        if (matches(event, proposalKey(digit))) {
          event.preventDefault()
          return card.current?.take(digit)
        }
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [actions])

  const done = useMemo(() => store.done(), [store, revision]) // eslint-disable-line react-hooks/exhaustive-deps
  const current =
    openSegment?.document_id ?? segments[rows.range?.startIndex ?? 0]?.document_id ?? listing.documents[0]?.id
  const rowOpen = useCallback((index: number) => openSegmentAt(index), [openSegmentAt])
  const openFromMap = useCallback((index: number) => openSegmentAt(index, 150), [openSegmentAt])
  const openFromPage = useCallback(
    (segment: number) => {
      const index = order.indexOf(segment)
      if (index >= 0) return openSegmentAt(index, 150)
      setFilter('everything')
      setFile('all')
      void go(`#${segment}`)
    },
    [go, openSegmentAt, order],
  )
  const restore = useCallback((version: Version) => card.current?.write(version.target, version.origin), [])
  const fold = useCallback(() => setFolded(true), [])
  return (
    <Frame project={project} words={{ done: done.words, total: done.total }}>
      <div className={`translate${folded ? ' folded' : ''}`}>
        <Strip
          segments={segments}
          revision={revision}
          from={rows.range?.startIndex ?? 0}
          to={rows.range?.endIndex ?? 0}
          open={openAt}
          mode={mode}
          onGo={openFromMap}
        />
        <section className="column" aria-label={t('stages.translate')}>
          <div className="column-head">
            {t('translate.showing')}{' '}
            <MenuInPlace
              title={t('translate.filter')}
              label={t(`translate.${filter}`)}
              value={filter}
              options={['everything', 'unfinished', 'marked'].map((value) => ({
                value,
                label: t(`translate.${value}`),
              }))}
              onChange={(value) => {
                setFilter(value)
                setOpen(null)
              }}
            />
            {listing.documents.length > 1 && (
              <>
                {t('translate.in')}{' '}
                <MenuInPlace
                  title={t('translate.file')}
                  label={
                    file === 'all'
                      ? t('translate.allFiles', { count: listing.documents.length })
                      : (listing.documents.find((one) => one.id === Number(file))?.name ?? '')
                  }
                  value={file}
                  options={[
                    { value: 'all', label: t('translate.allFiles', { count: listing.documents.length }) },
                    ...listing.documents.map((one) => ({ value: String(one.id), label: one.name })),
                  ]}
                  onChange={(value) => {
                    setFile(value)
                    setOpen(null)
                  }}
                />
              </>
            )}
            <span className="tab">
              · {t('translate.count', { count: order.length })} · {number(done.total - done.words)}{' '}
              {t('translate.wordsLeft')}
            </span>
            <span className="push" />
            <MenuInPlace
              title={t('translate.repeats')}
              label={t(`translate.repeatWays.${user.preferences.confirm_repeats ? 'confirm' : 'draft'}`)}
              value={user.preferences.confirm_repeats ? 'confirm' : 'draft'}
              options={['draft', 'confirm'].map((value) => ({
                value,
                label: t(`translate.repeatWays.${value}`),
              }))}
              onChange={(value) => prefer({ confirm_repeats: value === 'confirm' })}
            />
            <MenuInPlace
              title={t('translate.floor')}
              label={t('translate.floorAt', { score: floor })}
              value={String(floor)}
              options={[30, 40, 50, 60, 70, 75, 80, 85].map((score) => ({
                value: String(score),
                label: t('translate.floorAt', { score }),
              }))}
              onChange={(value) => prefer({ floor: Number(value) })}
            />
            <button type="button" onClick={nextUnfinished}>
              {t('translate.nextUnfinished')} <Key keys={KEYS.nextUnfinished} />
            </button>
          </div>
          {order.length ? (
            <div className="scroll" ref={scroll} tabIndex={-1}>
              <div className="rows" role="list" style={{ height: rows.getTotalSize() + 300 }}>
                {items.map((item) => {
                  const segment = segments[item.index]
                  return (
                    <div
                      key={item.key}
                      className="row"
                      role="listitem"
                      data-index={item.index}
                      ref={rows.measureElement}
                      style={{ transform: `translateY(${item.start}px)` }}
                    >
                      {segment.id === open ? (
                        <Card
                          key={segment.id}
                          ref={card}
                          segment={segment}
                          store={store}
                          project={project}
                          cutting={cutting}
                          onCut={(at) => (at === null ? setCutting(false) : split(at))}
                          onFinish={finish}
                          onSay={say}
                        />
                      ) : (
                        <Pair
                          segment={segment}
                          project={project}
                          index={item.index}
                          begins={
                            segments[item.index - 1]?.key.split(':').slice(0, -1).join() !==
                              segment.key.split(':').slice(0, -1).join() &&
                            segment.block.startsWith('heading')
                          }
                          onOpen={rowOpen}
                        />
                      )}
                    </div>
                  )
                })}
              </div>
            </div>
          ) : (
            <div className="notice">
              <button
                type="button"
                className="link"
                onClick={() => {
                  setFilter('everything')
                  setFile('all')
                }}
              >
                {t('translate.none')}
              </button>
            </div>
          )}
          <Unsent outbox={store.outbox} open={open} onGo={openFromPage} />
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
            project={project}
            wanted={wanted}
            onInsert={insert}
            store={store}
            revision={revision}
            open={openSegment}
            document={current}
            onFold={fold}
            onOpen={openFromPage}
            onRestore={restore}
          />
        )}
      </div>
    </Frame>
  )
}

const withOpen = (shown: number[], open: number) =>
  open < 0 || shown.includes(open) ? shown : [...shown, open].sort((one, other) => one - other)

// A segment at rest: what is done shows its translation, the source receding; what is not shows its source.
const Pair = memo(function Pair({
  segment,
  project,
  index,
  begins,
  onOpen,
}: {
  segment: Segment
  project: Project
  index: number
  begins: boolean
  onOpen: (index: number) => void
}) {
  const { t } = useTranslation()
  const mark = segment.origin.kind === 'repeated' && segment.target ? originText(segment, t) : ''
  return (
    <button
      type="button"
      className={`pair block-${segment.block}${begins ? ' begins' : ''}`}
      onClick={() => onOpen(index)}
    >
      <span className="gutter">
        <span>{segment.position}</span>
        <Moon state={segment.state} />
      </span>
      <span className="words" style={{ minWidth: 0, display: 'block' }}>
        <Where segment={segment} />
        <span
          className={`source${segment.target ? ' receding' : ''}`}
          style={{ display: 'block' }}
          lang={project.source_lang ?? undefined}
          dir={direction(project.source_lang)}
        >
          <Written value={segment.source} codes={segment.codes} />
        </span>
        {segment.target && (
          <span
            className="target"
            style={{ display: 'block' }}
            lang={project.target_lang ?? undefined}
            dir={direction(project.target_lang)}
          >
            <Written value={segment.target} codes={segment.codes} />
            {(mark || segment.marked) && (
              <span className="repeat-mark">
                {' '}
                {[mark, segment.marked ? t('translate.cameBack') : ''].filter(Boolean).join(' · ')}
              </span>
            )}
          </span>
        )}
      </span>
    </button>
  )
})

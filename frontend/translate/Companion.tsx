// The companion beside the text: the page as it will look, words looked up, and the history of the open
// segment.
import { useQuery } from '@tanstack/react-query'
import { Input } from 'antd'
import { memo, useDeferredValue, useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { toHtml } from '../shared/content'
import { fullDate, time } from '../shared/i18n'
import { KEYS, shown } from '../shared/keys'
import { MenuInPlace, Moon } from '../shared/parts'
import type { Hit, Project, Segment, Version } from '../shared/types'
import { originText } from './Card'
import type { Store } from './store'
import { Written } from './Written'

const CHUNK = 40
const VIEWS = ['page', 'search', 'past'] as const
type View = (typeof VIEWS)[number]

interface Props {
  project: Project
  store: Store
  revision: number
  open: Segment | null
  document: number
  wanted: { text: string; side: 'source' | 'target'; turn: number }
  onInsert: (value: string) => void
  onOpen: (id: number) => void
  onRestore: (version: Version) => void
  onFold: () => void
}

export const Companion = memo(function Companion({
  project,
  store,
  revision,
  open,
  document,
  wanted,
  onInsert,
  onOpen,
  onRestore,
  onFold,
}: Props) {
  const { t } = useTranslation()
  const [view, setView] = useState<View>(wanted.turn ? 'search' : 'page')
  const [turn, setTurn] = useState(wanted.turn)
  // A key asked for words: show where they are looked up.
  if (turn !== wanted.turn) {
    setTurn(wanted.turn)
    setView('search')
  }
  return (
    <aside className="companion" aria-label={t('companion.label')}>
      <div className="tabs">
        <div role="tablist" aria-label={t('companion.label')}>
          {VIEWS.map((name) => (
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
        {view === 'page' ? (
          <Page store={store} revision={revision} open={open} document={document} onOpen={onOpen} />
        ) : view === 'search' ? (
          <Search
            key={wanted.turn}
            project={project}
            wanted={wanted}
            open={open}
            onInsert={onInsert}
            onOpen={onOpen}
          />
        ) : open ? (
          <Past key={open.id} segment={open} onRestore={onRestore} />
        ) : (
          <p className="quiet">{t('companion.openFirst')}</p>
        )}
      </div>
    </aside>
  )
})

// The document as it will look. The server gives the frame once; the texts are put in and kept up here.
function Page({
  store,
  revision,
  open,
  document,
  onOpen,
}: Pick<Props, 'store' | 'revision' | 'open' | 'document' | 'onOpen'>) {
  const { t } = useTranslation()
  const place = useRef<HTMLDivElement>(null)
  const shownAs = useRef(new Map<string, string>())
  const spots = useRef(new Map<string, HTMLElement>())
  const page = useQuery({
    queryKey: ['page', document],
    queryFn: () => api.get<{ html: string }>(`/documents/${document}/page`),
    staleTime: Infinity,
  })
  const html = page.data?.html

  useEffect(() => {
    const sheet = place.current
    if (!sheet || html === undefined) return
    sheet.replaceChildren(...chunks(html))
    shownAs.current = new Map()
    spots.current = new Map(
      [...sheet.querySelectorAll<HTMLElement>('[data-segment]')].map((element) => [
        element.dataset.segment!,
        element,
      ]),
    )
  }, [html])

  useEffect(() => {
    if (html === undefined) return
    for (const segment of store.segments) {
      if (segment.document_id !== document) continue
      const text = segment.target || segment.source
      const todo = !segment.target
      const key = `${todo ? 0 : 1}${text}`
      if (shownAs.current.get(segment.key) === key) continue
      shownAs.current.set(segment.key, key)
      const spot = spots.current.get(segment.key)
      if (!spot) continue
      spot.innerHTML = toHtml(text, segment.codes)
      spot.classList.toggle('todo', todo)
      spot.dataset.id = String(segment.id)
    }
  }, [html, revision, store, document])

  const here = open?.document_id === document ? open.key : null
  useEffect(() => {
    if (!here) return
    const spot = spots.current.get(here)
    spot?.classList.add('here')
    const panel = place.current?.parentElement
    // Chunks get their true height only when they are seen, so the way there may take a second step.
    let steps = 0
    let next = 0
    const show = () => {
      if (!spot || !panel) return
      const box = spot.getBoundingClientRect()
      const frame = panel.getBoundingClientRect()
      if (box.top >= frame.top + 40 && box.bottom <= frame.bottom - 60) return
      panel.scrollTop += box.top - frame.top - frame.height * 0.3
      steps += 1
      if (steps < 4) next = requestAnimationFrame(show)
    }
    show()
    return () => {
      cancelAnimationFrame(next)
      spot?.classList.remove('here')
    }
  }, [here, html])

  if (html === '') return <p className="quiet">{t('companion.noPage')}</p>
  return (
    <div
      ref={place}
      className="sheet-page"
      onClick={(event) => {
        const spot = (event.target as HTMLElement).closest<HTMLElement>('[data-id]')
        if (spot) onOpen(Number(spot.dataset.id))
      }}
    />
  )
}

// The blocks of a page in chunks that the browser lays out only when they come into view.
function chunks(html: string): HTMLElement[] {
  const template = window.document.createElement('template')
  template.innerHTML = html
  const blocks = [...template.content.children]
  return Array.from({ length: Math.ceil(blocks.length / CHUNK) }, (_, index) => {
    const chunk = window.document.createElement('div')
    chunk.className = 'chunk'
    chunk.append(...blocks.slice(index * CHUNK, (index + 1) * CHUNK))
    return chunk
  })
}

// Words in the memories of the project and in the project itself, with what stands around them.
function Search({
  project,
  wanted,
  open,
  onInsert,
  onOpen,
}: Pick<Props, 'project' | 'wanted' | 'open' | 'onInsert' | 'onOpen'>) {
  const { t } = useTranslation()
  const [text, setText] = useState(wanted.text)
  const [side, setSide] = useState<string>(wanted.side)
  const [way, setWay] = useState('phrase')
  const asked = useDeferredValue(text.trim())
  const found = useQuery({
    queryKey: ['concordance', project.id, asked, side, way],
    enabled: asked.length > 1,
    placeholderData: (old) => old,
    queryFn: () =>
      api.get<{ hits: Hit[]; more: boolean }>(
        `/projects/${project.id}/concordance?${new URLSearchParams({ text: asked, side, way })}`,
      ),
  })
  const hits = asked.length > 1 ? found.data?.hits : undefined
  return (
    <div className="search-view">
      <Input
        allowClear
        autoFocus={wanted.turn > 0}
        value={text}
        placeholder={t('companion.searchFor')}
        aria-label={t('companion.searchFor')}
        onChange={(event) => setText(event.target.value)}
      />
      <p className="small">
        <MenuInPlace
          title={t('companion.searchSide')}
          label={t(`companion.sides.${side}`)}
          value={side}
          options={['source', 'target'].map((value) => ({ value, label: t(`companion.sides.${value}`) }))}
          onChange={setSide}
        />
        {' · '}
        <MenuInPlace
          title={t('companion.way')}
          label={t(`companion.ways.${way}`)}
          value={way}
          options={['phrase', 'words', 'alike'].map((value) => ({
            value,
            label: t(`companion.ways.${value}`),
          }))}
          onChange={setWay}
        />
      </p>
      {!hits ? (
        <p className="quiet">{t('companion.searchEmpty')}</p>
      ) : !hits.length ? (
        <p className="quiet" role="status">
          {t('companion.searchNone')}
        </p>
      ) : (
        <>
          <p className="small quiet" role="status">
            {found.data?.more
              ? t('companion.hitsMore', { count: hits.length })
              : t('companion.hits', { count: hits.length })}
          </p>
          <ol className="hits">
            {hits.map((hit) => (
              <li key={`${hit.kind}${hit.unit ?? hit.segment}`}>
                <p className="reading" lang={project.source_lang ?? undefined}>
                  {hit.side === 'source' ? <Marks text={hit.source} marks={hit.marks} /> : hit.source}
                </p>
                <p className="reading target" lang={project.target_lang ?? undefined}>
                  {hit.side === 'target' ? <Marks text={hit.target} marks={hit.marks} /> : hit.target}
                </p>
                <p className="small quiet">
                  {hit.kind === 'project' ? (
                    <button
                      type="button"
                      className="plain-link"
                      onClick={() => {
                        if (hit.segment) onOpen(hit.segment)
                      }}
                    >
                      {t('companion.here', { number: hit.position, file: hit.file })}
                    </button>
                  ) : (
                    [
                      hit.memory,
                      [hit.author, hit.changed_at && fullDate(hit.changed_at)].filter(Boolean).join(', '),
                      hit.client,
                      hit.project,
                    ]
                      .filter(Boolean)
                      .join(' · ')
                  )}
                  {open && hit.target && (
                    <>
                      {' '}
                      ·{' '}
                      <button
                        type="button"
                        className="link"
                        onMouseDown={(event) => event.preventDefault()}
                        onClick={() => onInsert(chosenIn() || hit.target)}
                      >
                        {t('companion.putIn')}
                      </button>
                    </>
                  )}
                </p>
              </li>
            ))}
          </ol>
        </>
      )}
    </div>
  )
}

// What is selected in the hits: that alone is put in.
const chosenIn = () => {
  const selection = window.getSelection()
  return selection?.anchorNode?.parentElement?.closest('.hits .target') ? selection.toString().trim() : ''
}

function Marks({ text, marks }: { text: string; marks: [number, number][] }) {
  const letters = Array.from(text)
  return (
    <>
      {marks.map(([from, to], index) => (
        <span key={from}>
          {letters.slice(index ? marks[index - 1][1] : 0, from).join('')}
          <mark>{letters.slice(from, to).join('')}</mark>
        </span>
      ))}
      {letters.slice(marks.length ? marks[marks.length - 1][1] : 0).join('')}
    </>
  )
}

function Past({ segment, onRestore }: { segment: Segment; onRestore: (version: Version) => void }) {
  const { t } = useTranslation()
  const past = useQuery({
    queryKey: ['past', segment.id, segment.version],
    queryFn: () => api.get<Version[]>(`/segments/${segment.id}/versions`),
    placeholderData: (old) => old,
  })
  if (past.data && !past.data.length) return <p className="quiet">{t('companion.noPast')}</p>
  return (
    <ol className="past">
      {(past.data ?? []).map((version) => (
        <li key={version.id}>
          <p className="small quiet" style={{ display: 'flex', gap: 7, alignItems: 'center' }}>
            <Moon state={version.state} />{' '}
            {[
              originText({ ...segment, target: version.target, origin: version.origin }, t),
              version.author,
              `${fullDate(version.updated_at)}, ${time(version.updated_at)}`,
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
          <p className="reading">
            <Written value={version.target} codes={segment.codes} />
          </p>
          {version.target !== segment.target && (
            <button type="button" className="link small" onClick={() => onRestore(version)}>
              {t('companion.restore')}
            </button>
          )}
        </li>
      ))}
    </ol>
  )
}

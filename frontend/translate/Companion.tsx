// The companion beside the text: the page as it will look, and the history of the open segment.
import { useQuery } from '@tanstack/react-query'
import { memo, useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { toHtml } from '../shared/content'
import { fullDate, time } from '../shared/i18n'
import { KEYS, shown } from '../shared/keys'
import { Moon } from '../shared/parts'
import type { Segment, Version } from '../shared/types'
import { originText } from './Card'
import type { Store } from './store'
import { Written } from './Written'

const CHUNK = 40
const VIEWS = ['page', 'past'] as const
type View = (typeof VIEWS)[number]

interface Props { store: Store; revision: number; open: Segment | null; document: number; onOpen: (id: number) => void; onRestore: (version: Version) => void; onFold: () => void }

export const Companion = memo(function Companion({ store, revision, open, document, onOpen, onRestore, onFold }: Props) {
  const { t } = useTranslation()
  const [view, setView] = useState<View>('page')
  return (
    <aside className="companion" aria-label={t('companion.label')}>
      <div className="tabs">
        <div role="tablist" aria-label={t('companion.label')}>{VIEWS.map((name) => <button key={name} type="button" role="tab" id={`tab-${name}`} aria-controls="companion-panel" aria-selected={view === name} onClick={() => setView(name)}>{t(`companion.${name}`)}</button>)}</div>
        <button type="button" className="fold" aria-label={t('companion.fold')} title={`${t('companion.fold')} ${shown(KEYS.companion)}`} onClick={onFold}>→</button>
      </div>
      <div className="panel" role="tabpanel" id="companion-panel" aria-labelledby={`tab-${view}`} tabIndex={0}>
        {view === 'page' ? <Page store={store} revision={revision} open={open} document={document} onOpen={onOpen} /> : open ? <Past key={open.id} segment={open} onRestore={onRestore} /> : <p className="quiet">{t('companion.openFirst')}</p>}
      </div>
    </aside>
  )
})

// The document as it will look. The server gives the frame once; the texts are put in and kept up here.
function Page({ store, revision, open, document, onOpen }: Pick<Props, 'store' | 'revision' | 'open' | 'document' | 'onOpen'>) {
  const { t } = useTranslation()
  const place = useRef<HTMLDivElement>(null)
  const shownAs = useRef(new Map<string, string>())
  const spots = useRef(new Map<string, HTMLElement>())
  const page = useQuery({ queryKey: ['page', document], queryFn: () => api.get<{ html: string }>(`/documents/${document}/page`), staleTime: Infinity })
  const html = page.data?.html

  useEffect(() => {
    const sheet = place.current
    if (!sheet || html === undefined) return
    sheet.replaceChildren(...chunks(html))
    shownAs.current = new Map()
    spots.current = new Map([...sheet.querySelectorAll<HTMLElement>('[data-segment]')].map((element) => [element.dataset.segment!, element]))
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
    return () => { cancelAnimationFrame(next); spot?.classList.remove('here') }
  }, [here, html])

  if (html === '') return <p className="quiet">{t('companion.noPage')}</p>
  return <div ref={place} className="sheet-page" onClick={(event) => { const spot = (event.target as HTMLElement).closest<HTMLElement>('[data-id]'); if (spot) onOpen(Number(spot.dataset.id)) }} />
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

function Past({ segment, onRestore }: { segment: Segment; onRestore: (version: Version) => void }) {
  const { t } = useTranslation()
  const past = useQuery({ queryKey: ['past', segment.id, segment.version], queryFn: () => api.get<Version[]>(`/segments/${segment.id}/versions`), placeholderData: (old) => old })
  if (past.data && !past.data.length) return <p className="quiet">{t('companion.noPast')}</p>
  return (
    <ol className="past">{(past.data ?? []).map((version) => (
      <li key={version.id}>
        <p className="small quiet" style={{ display: 'flex', gap: 7, alignItems: 'center' }}><Moon state={version.state} /> {[originText({ ...segment, target: version.target, origin: version.origin }, t), version.author, `${fullDate(version.updated_at)}, ${time(version.updated_at)}`].filter(Boolean).join(' · ')}</p>
        <p className="reading"><Written value={version.target} codes={segment.codes} /></p>
        {version.target !== segment.target && <button type="button" className="link small" onClick={() => onRestore(version)}>{t('companion.restore')}</button>}
      </li>
    ))}</ol>
  )
}

// The document as it will look. The server gives the frame once; the texts are put in and kept up here.
import { useEffect, useRef, type RefObject } from 'react'
import { useTranslation } from 'react-i18next'
import { toHtml } from '../../shared/preview'
import type { Segment } from '../../shared/types'
import { usePage } from '../queries'
import { printPage } from './printPage'
import type { Store } from '../store'

// So many blocks are laid out together, when they come into view; so many chunks make a part, so that a very
// long page has few pieces to be watched.
const CHUNK = 40
const PART = 25
// How far from the edges of the panel the open segment is kept, in px, and where it is scrolled to.
const MARGIN = { top: 40, bottom: 60 }
const THIRD = 0.3
const STEPS = 8

interface Props {
  store: Store
  revision: number
  open: Segment | null
  document: number
  onOpen: (id: number) => void
}

type Spots = RefObject<Map<string, HTMLElement>>

export function Page({ store, revision, open, document, onOpen }: Props) {
  const { t } = useTranslation()
  const place = useRef<HTMLDivElement>(null)
  const html = usePage(document).data?.html
  const spots = useFrame(place, html)
  useTexts(spots, html, store, revision, document)
  useHere(place, spots, html, open?.document_id === document ? open.key : null)
  if (html === '') return <p className="quiet">{t('companion.noPage')}</p>
  return (
    <>
      <p className="presses small page-acts">
        <a className="link" href={`/api/documents/${document}/finished_file`} download>
          {t('companion.finished')}
        </a>
        <button type="button" className="link" onClick={() => printPage(place.current)}>
          {t('companion.print')}
        </button>
      </p>
      <div
        ref={place}
        className="sheet-page"
        onClick={(event) => {
          const spot = (event.target as HTMLElement).closest<HTMLElement>('[data-id]')
          if (spot) onOpen(Number(spot.dataset.id))
        }}
      />
    </>
  )
}

// Lays the page out; answers where each segment stands in it.
function useFrame(place: RefObject<HTMLDivElement | null>, html?: string): Spots {
  const spots = useRef(new Map<string, HTMLElement>())
  useEffect(() => {
    const sheet = place.current
    if (!sheet || html === undefined) return
    sheet.replaceChildren(...parts(html))
    const found = [...sheet.querySelectorAll<HTMLElement>('[data-segment]')]
    spots.current = new Map(found.map((element) => [element.dataset.segment!, element]))
  }, [html, place])
  return spots
}

// The blocks of a page in pieces that the browser lays out only when they come into view.
function parts(html: string): HTMLElement[] {
  const template = window.document.createElement('template')
  template.innerHTML = html
  return together(together([...template.content.children], CHUNK, 'chunk'), PART, 'part')
}

function together(elements: Element[], count: number, name: string): HTMLElement[] {
  return Array.from({ length: Math.ceil(elements.length / count) }, (_, index) => {
    const holder = window.document.createElement('div')
    holder.className = name
    holder.append(...elements.slice(index * count, (index + 1) * count))
    return holder
  })
}

// Puts the texts where they stand, and again those that changed.
function useTexts(spots: Spots, html: string | undefined, store: Store, revision: number, document: number) {
  // What was put in last: a segment that is the same object reads the same.
  const shown = useRef<{ html?: string; segments: Segment[] }>({ segments: [] })
  useEffect(() => {
    if (html === undefined) return
    const before = shown.current.html === html ? shown.current.segments : []
    store.segments.forEach((segment, index) => {
      if (segment === before[index]) return
      const spot = segment.document_id === document ? spots.current.get(segment.key) : undefined
      if (spot) put(segment, spot)
    })
    shown.current = { html, segments: [...store.segments] }
  }, [document, html, revision, spots, store])
}

function put(segment: Segment, spot: HTMLElement) {
  const text = segment.target || segment.source
  const todo = !segment.target
  spot.innerHTML = toHtml(text, segment.codes)
  spot.classList.toggle('todo', todo)
  spot.dataset.id = String(segment.id)
}

// Marks the open segment and brings it into view.
function useHere(
  place: RefObject<HTMLDivElement | null>,
  spots: Spots,
  html: string | undefined,
  here: string | null,
) {
  useEffect(() => {
    const spot = here ? spots.current.get(here) : undefined
    const panel = place.current?.parentElement
    if (!spot || !panel) return
    spot.classList.add('here')
    // Chunks get their true height only when they are seen, so the way there may take more than one step.
    let steps = 0
    let next = 0
    const show = () => {
      const box = spot.getBoundingClientRect()
      const frame = panel.getBoundingClientRect()
      if (box.top >= frame.top + MARGIN.top && box.bottom <= frame.bottom - MARGIN.bottom) return
      panel.scrollTop += box.top - frame.top - frame.height * THIRD
      steps += 1
      if (steps < STEPS) next = requestAnimationFrame(show)
    }
    show()
    return () => {
      cancelAnimationFrame(next)
      spot.classList.remove('here')
    }
  }, [here, html, place, spots])
}

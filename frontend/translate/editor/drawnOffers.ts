// How offers look: the first one pale after the caret, or a list below it. Drawn beside the text, never in
// it.
import type { EditorState } from 'prosemirror-state'
import { Decoration, DecorationSet, type EditorView } from 'prosemirror-view'
import type { Offer } from '../completion/ahead'
import { DOMSerializer } from 'prosemirror-model'
import { parts } from '../../shared/content'
import i18n from '../../shared/i18n'
import { nodeOf, schema } from './schema'

type Take = (view: EditorView, at: number) => void
interface Drawn {
  offers: Offer[]
  chosen: number | null
}
export const LIST = 'completion-list'
export const optionId = (at: number) => `completion-${at}`

// begun: the letters of the word that are typed already.
export function drawn(state: EditorState, begun: string, { offers, chosen }: Drawn, take: Take) {
  const at = state.selection.head
  const name = `${chosen ?? 'pale'} ${offers.map(({ text }) => text).join('|')}`
  const place = Decoration.widget(
    at,
    (view) => (chosen === null ? pale(offers[0]) : list(view, begun, { offers, chosen }, take)),
    {
      side: 1,
      key: name,
      ignoreSelection: true,
      stopEvent: () => true,
    },
  )
  return DecorationSet.create(state.doc, [place])
}

// As it will stand: a code as its token.
function wordsOf({ text, kind }: Offer): Node {
  if (kind !== 'code') return document.createTextNode(text)
  const [part] = parts(text)
  return DOMSerializer.fromSchema(schema).serializeNode(nodeOf(part, []))
}

function pale(offer: Offer) {
  const span = document.createElement('span')
  span.className = 'pale-offer'
  span.setAttribute('aria-hidden', 'true')
  span.append(offer.kind === 'code' ? wordsOf(offer) : offer.text.trimEnd())
  return span
}

function list(view: EditorView, begun: string, { offers, chosen }: Drawn, take: Take) {
  const span = document.createElement('span')
  span.className = 'offers'
  span.contentEditable = 'false'
  const box = document.createElement('ul')
  box.id = LIST
  box.setAttribute('role', 'listbox')
  box.setAttribute('aria-label', i18n.t('completion.offers'))
  offers.forEach((offer, at) =>
    box.append(option(offer, begun, { at, chosen: at === chosen }, () => take(view, at))),
  )
  span.append(box)
  requestAnimationFrame(() => keepInside(span, box))
  return span
}

interface Place {
  at: number
  chosen: boolean
}
function option(offer: Offer, begun: string, { at, chosen }: Place, onTake: () => void) {
  const item = document.createElement('li')
  item.id = optionId(at)
  item.setAttribute('role', 'option')
  item.setAttribute('aria-selected', String(chosen))
  const words = document.createElement('span')
  const typed = document.createElement('i')
  typed.textContent = offer.kind === 'code' ? '' : begun
  words.append(typed, wordsOf(offer))
  const from = document.createElement('small')
  from.textContent = i18n.t(`completion.from.${offer.kind}`)
  item.append(words, from)
  // The caret stays where it is.
  item.addEventListener('mousedown', (event) => {
    event.preventDefault()
    onTake()
  })
  return item
}

// A list that would stand out at the end of the line is moved back.
function keepInside(span: HTMLElement, box: HTMLElement) {
  const card = span.closest('.card')?.getBoundingClientRect()
  if (!card) return
  const over = box.getBoundingClientRect().right - card.right
  if (over > 0) box.style.marginInlineStart = `${-over}px`
}

// Inline completion: the first offer is shown after the caret, the others in a list below it.
// What is offered is known ahead, so that it stands there in the same frame as the key. Never while a
// character is being composed, and gone with the first key that is not one of its own.
import { closeHistory } from 'prosemirror-history'
import { Plugin, PluginKey, type EditorState, type Transaction } from 'prosemirror-state'
import { DecorationSet, type EditorView } from 'prosemirror-view'
import type { Offer } from '../completion/ahead'
import type { Code } from '../../shared/types'
import { parts } from '../../shared/content'
import { drawn, LIST, optionId } from './drawnOffers'
import { nodeOf, writtenOf } from './schema'

export interface Completing {
  // What may follow a text, in words and in written form; nothing while it is not known yet.
  offers: (prefix: string, written: string) => Offer[]
  codes: Code[]
  // Does the list open by itself, once so many letters of a word are typed?
  listsAfter: () => number | null
  shows: () => boolean
}

interface Shown {
  offers: Offer[]
  // The one chosen in the list, or null while only the first one stands there.
  chosen: number | null
  // The start of the word in which the user dismissed them.
  left: number | null
  // Was the last event typing?
  typed: boolean
  // Behind the blank that an offer brought along, which is not to be seen before it is taken.
  blankAt: number | null
}
type Asked = 'list' | 'leave' | 'again' | 'quiet' | 'blank' | number

const key = new PluginKey<Shown>('completing')
const NOTHING: Shown = { offers: [], chosen: null, left: null, typed: false, blankAt: null }
// The first one is shown by itself from so sure on.
const SURE = 0.22
const AT_WORD = /[\p{L}\p{M}\p{N}_’'-]*$/u
const GOES_ON = /^[\p{L}\p{M}\p{N}]/u

const before = (state: EditorState) => state.doc.textBetween(0, state.selection.head, '', '')
const writtenBefore = (state: EditorState) => writtenOf(state.doc.cut(0, state.selection.head))
const after = (state: EditorState) =>
  state.doc.textBetween(state.selection.head, state.doc.content.size, '', ' ')
const wordStart = (text: string) => text.length - (AT_WORD.exec(text)?.[0].length ?? 0)

function offersAt(state: EditorState, { offers, shows, listsAfter }: Completing, left: number | null): Shown {
  const text = before(state)
  const start = wordStart(text)
  if (!shows() || !state.selection.empty || GOES_ON.test(after(state))) return NOTHING
  if (left === start) return { ...NOTHING, left, typed: true }
  const found = offers(text, writtenBefore(state))
  const least = listsAfter()
  const listed = least !== null && text.length - start >= least
  return { ...NOTHING, offers: found, chosen: listed && found.length ? 0 : null, typed: true }
}

function next(change: Transaction, shown: Shown, state: EditorState, how: Completing): Shown {
  const asked = change.getMeta(key) as Asked | undefined
  if (asked === 'quiet') return NOTHING
  if (asked === 'leave') return { ...NOTHING, left: wordStart(before(state)) }
  if (asked === 'blank') return { ...offersAt(state, how, shown.left), blankAt: state.selection.head }
  if (asked === 'again') return offersAt(state, how, shown.left)
  if (asked === 'list') {
    const { offers } = offersAt(state, { ...how, shows: () => true }, null)
    return offers.length ? { ...NOTHING, offers, chosen: 0 } : NOTHING
  }
  if (typeof asked === 'number') return { ...shown, chosen: asked }
  if (change.docChanged && !change.getMeta('history$')) return offersAt(state, how, shown.left)
  // Where nothing is written yet, a press into the field changes nothing.
  if (change.selectionSet && state.doc.content.size === 0) return offersAt(state, how, shown.left)
  return change.selectionSet || change.docChanged ? NOTHING : shown
}

export function completing(how: Completing) {
  let composing = false
  return new Plugin<Shown>({
    key,
    state: {
      init: () => NOTHING,
      apply: (change, shown, _, state) => (composing ? NOTHING : next(change, shown, state, how)),
    },
    props: {
      decorations: (state) => {
        const { offers, chosen } = key.getState(state) ?? NOTHING
        const unsure = chosen === null && (offers[0]?.likely ?? 0) < SURE
        if (unsure || !offers.length) return DecorationSet.empty
        const text = before(state)
        return drawn(state, text.slice(wordStart(text)), { offers, chosen }, (view, at) =>
          take(view, at, how),
        )
      },
      handleTextInput: (view, from, _to, text) => afterBlank(view, from, text),
      handleKeyDown: (view, event) => {
        const done = !event.ctrlKey && !event.altKey && !event.metaKey && pressed(view, event, how)
        if (done) event.stopPropagation()
        return done
      },
      handleDOMEvents: {
        compositionstart: (view) => {
          composing = true
          sendAway(view, 'quiet')
          return false
        },
        compositionend: () => {
          composing = false
          return false
        },
        blur: (view) => {
          sendAway(view, 'quiet')
          return false
        },
      },
    },
  })
}

const say = (view: EditorView, asked: Asked) =>
  view.dispatch(view.state.tr.setMeta(key, asked).setMeta('addToHistory', false))

function sendAway(view: EditorView, asked: 'leave' | 'quiet') {
  if (key.getState(view.state)?.offers.length) say(view, asked)
}

// Its own keys: Tab takes the one in sight, Enter and the arrows are its own only while the list is open.
function pressed(view: EditorView, event: KeyboardEvent, how: Completing): boolean {
  if (offered(view, event, how)) return true
  // With nothing to take Tab would go to a button beside the text, which the next blank presses. The text is
  // left by Escape, and backwards.
  return event.key === 'Tab' && !event.shiftKey
}

function offered(view: EditorView, event: KeyboardEvent, how: Completing): boolean {
  const { offers, chosen } = key.getState(view.state) ?? NOTHING
  if (!offers.length || event.isComposing) return false
  const inSight = chosen !== null || offers[0].likely >= SURE
  // Before anything is typed Escape is not about offers: it closes the segment.
  const writing = chosen !== null || view.state.doc.content.size > 0
  if (event.key === 'Escape' && inSight && writing) return did(() => say(view, 'leave'))
  if (event.key === 'Tab' && !event.shiftKey && inSight) return did(() => take(view, chosen ?? 0, how))
  if (chosen === null || event.shiftKey) return false
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (step) return did(() => say(view, (chosen + step + offers.length) % offers.length))
  return event.key === 'Enter' && did(() => take(view, chosen, how))
}

function did(work: () => void) {
  work()
  return true
}

function take(view: EditorView, at: number, { codes }: Completing) {
  const offer = key.getState(view.state)?.offers[at]
  if (!offer) return
  // An undo step of its own: undoing what is typed next does not revert it.
  const change = closeHistory(view.state.tr)
  if (offer.kind === 'code') change.replaceSelectionWith(nodeOf(parts(offer.text)[0], codes))
  else change.insertText(offer.text)
  view.dispatch(change)
  if (offer.text.endsWith(' ')) say(view, 'blank')
  view.dispatch(closeHistory(view.state.tr))
  view.focus()
}

// A blank typed where an offer brought one along is there already; a mark that stands at the word takes its place.
const AT_THE_WORD = /^[.,)\]…]$/
function afterBlank(view: EditorView, from: number, text: string): boolean {
  if (key.getState(view.state)?.blankAt !== from) return false
  if (text === ' ') return did(() => say(view, 'again'))
  if (!AT_THE_WORD.test(text)) return false
  return did(() => view.dispatch(view.state.tr.insertText(text, from - 1, from)))
}

// Opens the list at the caret; answers whether there is anything in it.
export function openList(view: EditorView) {
  say(view, 'list')
  return (key.getState(view.state)?.offers.length ?? 0) > 0
}

// What the editor says of an open list to a screen reader.
export function listShown(state: EditorState): Record<string, string> {
  const chosen = key.getState(state)?.chosen ?? null
  if (chosen === null) return { 'aria-autocomplete': 'list' }
  return { 'aria-autocomplete': 'list', 'aria-controls': LIST, 'aria-activedescendant': optionId(chosen) }
}

// The known data changed: completions are computed again.
export function completeAgain(view: EditorView) {
  const empty = view.state.doc.content.size === 0
  if (view.hasFocus() && (empty || key.getState(view.state)?.typed)) say(view, 'again')
}

export const quietly = (change: Transaction) => change.setMeta(key, 'quiet')

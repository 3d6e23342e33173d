// Words that are not in the dictionary, underlined: never the one being typed, nor during a composition.
import { Plugin, PluginKey, type EditorState } from 'prosemirror-state'
import { Decoration, DecorationSet, type EditorView } from 'prosemirror-view'

export interface Misspelled {
  from: number
  to: number
  word: string
}
interface Known {
  text: string
  faults: Misspelled[]
}

const PAUSE = 60
// What stands for a code in the text that is looked at.
const CODE = '\ufffc'
const key = new PluginKey<Known>('spelling')
const NOTHING: Known = { text: '', faults: [] }

const textOf = (state: EditorState) => state.doc.textBetween(0, state.doc.content.size, '', CODE)

// Of a text that has changed since it was looked at, what still stands where it did.
function decorations(state: EditorState) {
  const known = key.getState(state) ?? NOTHING
  const text = textOf(state)
  const { head, empty } = state.selection
  const marks = known.faults
    .filter(
      ({ from, to, word }) => text.slice(from, to) === word && !(empty && head === to && isTyping(text, to)),
    )
    .map(({ from, to }) => Decoration.inline(from, to, { class: 'misspelled' }))
  return DecorationSet.create(state.doc, marks)
}

// The caret at the end of a word that nothing follows: it may go on.
const isTyping = (text: string, at: number) => at === text.length || !/[\s.,;:!?)]/u.test(text[at])

// look: asks for the faults of a text, in code points.
export function spelling(look: (text: string) => Promise<Misspelled[]>) {
  return new Plugin<Known>({
    key,
    state: {
      init: () => NOTHING,
      apply: (change, known) => (change.getMeta(key) as Known | undefined) ?? mapped(change.mapping, known),
    },
    props: { decorations },
    view: (view) => {
      let timer = 0
      const ask = () => {
        const text = textOf(view.state)
        if (view.composing || text === key.getState(view.state)?.text) return
        void look(text)
          .then((faults) => !view.isDestroyed && text === textOf(view.state) && show(view, text, faults))
          .catch(() => undefined)
      }
      const later = () => {
        window.clearTimeout(timer)
        timer = window.setTimeout(ask, PAUSE)
      }
      later()
      return { update: later, destroy: () => window.clearTimeout(timer) }
    },
  })
}

type Mapping = { map: (at: number) => number }

const mapped = (mapping: Mapping, known: Known): Known => ({
  text: known.text,
  faults: known.faults.map((fault) => ({
    ...fault,
    from: mapping.map(fault.from),
    to: mapping.map(fault.to),
  })),
})

// Places come in code points, and the editor counts in units of UTF-16.
function show(view: EditorView, text: string, faults: Misspelled[]) {
  const letters = Array.from(text)
  const unit = (at: number) => letters.slice(0, at).join('').length
  const placed = faults.map(({ from, to, word }) => ({ from: unit(from), to: unit(to), word }))
  view.dispatch(view.state.tr.setMeta(key, { text, faults: placed }).setMeta('addToHistory', false))
}

// Asks anew, after words were added.
export const lookAgain = (view: EditorView) =>
  view.dispatch(view.state.tr.setMeta(key, NOTHING).setMeta('addToHistory', false))

// The word with a fault at the caret, or the first one.
export function faultAt(state: EditorState): Misspelled | undefined {
  const faults = key.getState(state)?.faults ?? []
  const { head } = state.selection
  return faults.find(({ from, to }) => from <= head && head <= to) ?? faults[0]
}

// The target being written. One editor for each segment: a value that changes from outside goes through
// `replace`.
import { baseKeymap } from 'prosemirror-commands'
import { closeHistory, history, redo, undo } from 'prosemirror-history'
import { keymap } from 'prosemirror-keymap'
import { EditorState, TextSelection } from 'prosemirror-state'
import { EditorView } from 'prosemirror-view'
import { useEffect, useImperativeHandle, useRef, type Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { direction } from '../../shared/languages'
import type { Segment } from '../../shared/types'
import { insertMissing } from './insertMissing'
import { pasting } from './pasting'
import { insertWord } from './insertWord'
import { faultAt, lookAgain, spelling, type Misspelled } from './spelling'
import { docOf, nodesOf, writtenOf } from './schema'

export interface TargetHandle {
  focus: () => void
  replace: (value: string) => void
  insert: (text: string) => void
  // A word by itself: apart from what stands before it, in its other form where a sentence begins.
  insertWord: (text: string, atStart?: string) => void
  selected: () => string
  insertMissing: () => void
  // The misspelt word at the caret, or the first one.
  misspelt: () => string | undefined
  // Puts another word in its place.
  correct: (text: string) => void
  lookAgain: () => void
  undo: () => void
  redo: () => void
  value: () => string
}

interface Props {
  segment: Segment
  lang: string
  // The element that holds the source.
  describedBy: string
  onChange: (value: string) => void
  onSpell: (text: string) => Promise<Misspelled[]>
  // Characters that no document can hold were left out of what was pasted.
  onDropped: () => void
  ref: Ref<TargetHandle>
}

const KEYS = keymap({ 'Mod-z': undo, 'Mod-y': redo, 'Shift-Mod-z': redo, Enter: () => true })
const PLUGINS = (look: (text: string) => Promise<Misspelled[]>) => [
  history(),
  KEYS,
  keymap(baseKeymap),
  spelling(look),
]

export function TargetEditor({ segment, lang, describedBy, onChange, onSpell, onDropped, ref }: Props) {
  const { t } = useTranslation()
  const place = useRef<HTMLDivElement>(null)
  const view = useRef<EditorView | null>(null)
  const latest = useRef({ onChange, onSpell, onDropped })
  useEffect(() => {
    latest.current = { onChange, onSpell, onDropped }
  })

  useEffect(() => {
    const attributes = {
      role: 'textbox',
      'aria-label': t('translate.target', { number: segment.position }),
      'aria-describedby': describedBy,
      'aria-multiline': 'true',
      spellcheck: 'false',
      dir: direction(lang),
      lang,
    }
    const whenEmpty = { ...attributes, 'data-empty': t('translate.empty') }
    const editor = new EditorView(place.current, {
      attributes: (state) => (state.doc.childCount ? attributes : whenEmpty),
      state: EditorState.create({
        doc: docOf(segment.target, segment.codes),
        plugins: PLUGINS((text) => latest.current.onSpell(text)),
      }),
      ...pasting(segment.source, () => latest.current.onDropped()),
      dispatchTransaction(change) {
        const state = editor.state.apply(change)
        editor.updateState(state)
        if (change.docChanged) latest.current.onChange(writtenOf(state.doc))
      },
    })
    view.current = editor
    editor.dispatch(editor.state.tr.setSelection(TextSelection.atEnd(editor.state.doc)))
    return () => {
      view.current = null
      editor.destroy()
    }
    // The card is keyed by its segment: another segment is another editor.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [])

  useImperativeHandle(ref, () => handleOf(view, segment), [segment])
  return <div className="editor" ref={place} />
}

// What others may do with the editor while it is there.
function handleOf(view: { current: EditorView | null }, segment: Segment): TargetHandle {
  const within = <T,>(work: (editor: EditorView) => T) => (view.current ? work(view.current) : undefined)
  return {
    focus: () => within((editor) => editor.focus()),
    value: () => within((editor) => writtenOf(editor.state.doc)) ?? segment.target,
    undo: () => within((editor) => undo(editor.state, editor.dispatch)),
    redo: () => within((editor) => redo(editor.state, editor.dispatch)),
    replace: (text) =>
      within((editor) => {
        const { tr, doc } = editor.state
        const change = closeHistory(tr).replaceWith(0, doc.content.size, nodesOf(text, segment.codes))
        editor.dispatch(change.setSelection(TextSelection.atEnd(change.doc)))
        editor.focus()
      }),
    insert: (text) =>
      within((editor) => {
        if (text) editor.dispatch(closeHistory(editor.state.tr).insertText(text))
        editor.focus()
      }),
    insertWord: (text, atStart = text) => within((editor) => insertWord(editor, text, atStart)),
    selected: () =>
      within(({ state }) => state.doc.textBetween(state.selection.from, state.selection.to, '')) ?? '',
    misspelt: () => within(({ state }) => faultAt(state)?.word),
    correct: (text) =>
      within((editor) => {
        const fault = faultAt(editor.state)
        if (fault) editor.dispatch(closeHistory(editor.state.tr).insertText(text, fault.from, fault.to))
        editor.focus()
      }),
    lookAgain: () => within(lookAgain),
    insertMissing: () => within((editor) => insertMissing(editor, segment.source, segment.codes)),
  }
}

// The target being written. One editor for each segment: a value that changes from outside goes through
// `replace`.
import { baseKeymap } from 'prosemirror-commands'
import { history, redo, undo } from 'prosemirror-history'
import { keymap } from 'prosemirror-keymap'
import { EditorState, TextSelection, type Command } from 'prosemirror-state'
import { EditorView } from 'prosemirror-view'
import { useEffect, useImperativeHandle, useRef, type Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { direction } from '../../shared/languages'
import { completing, listShown, type Completing } from './completing'
import { pasting } from './pasting'
import { docOf, writtenOf } from './schema'
import { spelling, type Misspelled } from './spelling'
import { handleOf, type Edited, type TargetHandle } from './targetHandle'

interface Props {
  segment: Edited
  lang: string
  // The element that holds the source.
  describedBy: string
  onChange: (value: string) => void
  onSpell: (text: string) => Promise<Misspelled[]>
  complete: Completing
  // Characters that no document can hold were left out of what was pasted.
  onDropped: () => void
  ref: Ref<TargetHandle>
}

// Only a cue has lines of its own.
const newLine: Command = (state, dispatch) => {
  dispatch?.(state.tr.insertText('\n').scrollIntoView())
  return true
}
const keysOf = (block?: string) =>
  keymap({
    'Mod-z': undo,
    'Mod-y': redo,
    'Shift-Mod-z': redo,
    Enter: block === 'cue' ? newLine : () => true,
  })
const plugins = (complete: Completing, look: (text: string) => Promise<Misspelled[]>, block?: string) => [
  history(),
  completing(complete),
  keysOf(block),
  keymap(baseKeymap),
  spelling(look),
]

export function TargetEditor(props: Props) {
  const { segment, lang, describedBy, onChange, onSpell, complete, onDropped, ref } = props
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
      attributes: (state) => ({ ...(state.doc.childCount ? attributes : whenEmpty), ...listShown(state) }),
      state: EditorState.create({
        doc: docOf(segment.target, segment.codes),
        plugins: plugins(complete, (text) => latest.current.onSpell(text), segment.block),
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

// What others may do with the editor of a target while it is there.
import { closeHistory, redo, undo } from 'prosemirror-history'
import { TextSelection } from 'prosemirror-state'
import type { EditorView } from 'prosemirror-view'
import { missingCodes } from '../../shared/balance'
import { parts, written, type Part } from '../../shared/content'
import type { Segment } from '../../shared/types'
import { completeAgain, openList, quietly } from './completing'
import { insertMissing } from './insertMissing'
import { insertWord } from './insertWord'
import { nodeOf, nodesOf, writtenOf } from './schema'
import { faultAt, lookAgain } from './spelling'

// What of a segment an editor goes by.
export type Edited = Pick<Segment, 'position' | 'source' | 'target' | 'codes'> &
  Partial<Pick<Segment, 'block'>>

export interface TargetHandle {
  focus: () => void
  replace: (value: string) => void
  insert: (text: string) => void
  // A written form, with those of its codes that are missing.
  insertWritten: (written: string) => void
  // A word by itself: apart from what stands before it, in its other form where a sentence begins.
  insertWord: (text: string, atStart?: string) => void
  selected: () => string
  // Where it stands, in letters of the plain text.
  selection: () => { from: number; to: number; text: string } | undefined
  insertMissing: () => void
  // The misspelt word at the caret, or the first one.
  misspelt: () => string | undefined
  // Puts another word in its place.
  correct: (text: string) => void
  lookAgain: () => void
  // Opens the list of what may follow; answers whether there is anything.
  openOffers: () => boolean
  // What may follow is known anew.
  completeAgain: () => void
  undo: () => void
  redo: () => void
  value: () => string
}

export function handleOf(view: { current: EditorView | null }, segment: Edited): TargetHandle {
  const within = <T>(work: (editor: EditorView) => T) => (view.current ? work(view.current) : undefined)
  return {
    focus: () => within((editor) => editor.focus()),
    value: () => within((editor) => writtenOf(editor.state.doc)) ?? segment.target,
    undo: () => within((editor) => undo(editor.state, editor.dispatch)),
    redo: () => within((editor) => redo(editor.state, editor.dispatch)),
    replace: (text) =>
      within((editor) => {
        const { tr, doc } = editor.state
        const change = quietly(closeHistory(tr)).replaceWith(
          0,
          doc.content.size,
          nodesOf(text, segment.codes),
        )
        editor.dispatch(change.setSelection(TextSelection.atEnd(change.doc)))
        editor.focus()
      }),
    insert: (text) =>
      within((editor) => {
        if (text) editor.dispatch(closeHistory(editor.state.tr).insertText(text))
        editor.focus()
      }),
    insertWritten: (text) =>
      within((editor) => {
        const { from, to } = editor.state.selection
        const missing = missingCodes(segment.source, writtenOf(editor.state.doc))
        const fits = (part: Part) => 'text' in part || missing.includes(written(part))
        const nodes = parts(text)
          .filter(fits)
          .map((part) => nodeOf(part, segment.codes))
        editor.dispatch(quietly(closeHistory(editor.state.tr)).replaceWith(from, to, nodes))
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
    openOffers: () => within(openList) ?? false,
    completeAgain: () => within(completeAgain),
    selection: () =>
      within(({ state: { doc, selection } }) => {
        const [before, text] = [
          doc.textBetween(0, selection.from, ''),
          doc.textBetween(selection.from, selection.to, ''),
        ].map((one) => Array.from(one))
        return { from: before.length, to: before.length + text.length, text: text.join('') }
      }),
    insertMissing: () => within((editor) => insertMissing(editor, segment.source, segment.codes)),
  }
}

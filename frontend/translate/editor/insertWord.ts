// A word put in at the caret: with a space before it where it needs one, in its other form where a sentence
// begins.
import { closeHistory } from 'prosemirror-history'
import type { EditorView } from 'prosemirror-view'

// As the core knows a beginning (Glossema::Terms::Placed): both are held to core/spec/cases/beginning.json.
const BEGINNING = /(^|[.!?…]["”»’)]*\s+)["“„«(\s]*$/u
const NEEDS_SPACE = /[\p{L}\p{N},;:.!?)%]$/u

export const sentenceBegins = (before: string) => BEGINNING.test(before)

export function insertWord(editor: EditorView, text: string, atStart: string) {
  const { doc, selection, tr } = editor.state
  const before = doc.textBetween(0, selection.from, '', ' ')
  const word = sentenceBegins(before) ? atStart : text
  editor.dispatch(closeHistory(tr).insertText(NEEDS_SPACE.test(before) ? ` ${word}` : word))
  editor.focus()
}

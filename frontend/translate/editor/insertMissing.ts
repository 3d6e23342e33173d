// The next code of the source that the target lacks; around a selection the next missing pair.
import { closeHistory } from 'prosemirror-history'
import { TextSelection } from 'prosemirror-state'
import type { EditorView } from 'prosemirror-view'
import { missingParts } from '../../shared/balance'
import type { CodePart } from '../../shared/content'
import type { Code } from '../../shared/types'
import { nodeOf, writtenOf } from './schema'

const firstPair = (missing: CodePart[]) =>
  missing.find(
    ({ kind, id }) => kind === 'open' && missing.some((other) => other.kind === 'close' && other.id === id),
  )

export function insertMissing(editor: EditorView, source: string, codes: Code[]) {
  const missing = missingParts(source, writtenOf(editor.state.doc))
  if (!missing.length) return
  const { from, to, empty } = editor.state.selection
  const pair = empty ? undefined : firstPair(missing)
  let change = closeHistory(editor.state.tr)
  if (pair) {
    change.insert(to, nodeOf({ id: pair.id, kind: 'close' }, codes)).insert(from, nodeOf(pair, codes))
  } else {
    change = change.insert(to, nodeOf(missing[0], codes))
    change.setSelection(TextSelection.create(change.doc, to + 1))
  }
  editor.dispatch(change)
  editor.focus()
}

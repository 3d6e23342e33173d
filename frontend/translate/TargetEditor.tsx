// The target being written: a line of text with inline codes as atoms that typing cannot break.
import { baseKeymap } from 'prosemirror-commands'
import { closeHistory, history, redo, undo } from 'prosemirror-history'
import { keymap } from 'prosemirror-keymap'
import { Fragment, Schema, Slice, type Node } from 'prosemirror-model'
import { EditorState, TextSelection } from 'prosemirror-state'
import { EditorView } from 'prosemirror-view'
import { useEffect, useImperativeHandle, useRef, type Ref } from 'react'
import { codeParts, parts, written, type Part } from '../shared/content'
import type { Code } from '../shared/types'

const schema = new Schema({
  nodes: {
    doc: { content: 'inline*' },
    text: { group: 'inline' },
    code: {
      group: 'inline',
      inline: true,
      atom: true,
      selectable: true,
      attrs: { id: { default: 0 }, kind: { default: 'alone' }, display: { default: '' } },
      toDOM: (node) => [
        'span',
        {
          class: `token ${node.attrs.kind}`,
          title: node.attrs.display,
          'data-code': `${node.attrs.kind}:${node.attrs.id}`,
        },
        node.attrs.kind === 'close' ? `/${node.attrs.id}` : String(node.attrs.id),
      ],
      parseDOM: [
        {
          tag: 'span[data-code]',
          getAttrs: (element) => {
            const [kind, id] = (element.getAttribute('data-code') ?? '').split(':')
            return { kind, id: Number(id), display: element.getAttribute('title') ?? '' }
          },
        },
      ],
    },
  },
})

function nodes(value: string, codes: Code[]): Node[] {
  return parts(value).map((part) =>
    'text' in part
      ? schema.text(part.text)
      : schema.node('code', {
          id: part.id,
          kind: part.kind,
          display: codes.find((code) => code.id === part.id)?.display ?? '',
        }),
  )
}

const partOf = (node: Node): Part =>
  node.isText
    ? { text: node.text ?? '' }
    : { id: node.attrs.id as number, kind: node.attrs.kind as 'open' | 'close' | 'alone' }

export function writtenOf(doc: Node): string {
  let out = ''
  doc.forEach((node) => {
    out += written(partOf(node))
  })
  return out
}

export interface TargetHandle {
  focus: () => void
  replace: (value: string) => void
  insert: (text: string) => void
  selected: () => string
  insertMissing: () => void
  undo: () => void
  redo: () => void
  value: () => string
}

interface Props {
  value: string
  source: string
  codes: Code[]
  label: string
  // The element that holds the source.
  describedBy: string
  empty: string
  dir: 'ltr' | 'rtl'
  lang: string
  onChange: (value: string) => void
  // Characters that no document can hold were left out of what was pasted.
  onDropped: () => void
  ref: Ref<TargetHandle>
}

const UNHOLDABLE = /[^\P{Cc}\t\n\r]|[\uFFFE\uFFFF]/gu

export function TargetEditor({
  value,
  source,
  codes,
  label,
  describedBy,
  empty,
  dir,
  lang,
  onChange,
  onDropped,
  ref,
}: Props) {
  const place = useRef<HTMLDivElement>(null)
  const view = useRef<EditorView | null>(null)
  const latest = useRef({ onChange, onDropped })
  useEffect(() => {
    latest.current = { onChange, onDropped }
  })

  useEffect(() => {
    const attributes = (state: EditorState) =>
      ({
        role: 'textbox',
        'aria-label': label,
        'aria-describedby': describedBy,
        'aria-multiline': 'true',
        spellcheck: 'false',
        dir,
        lang,
        ...(state.doc.childCount === 0 ? { 'data-empty': empty } : {}),
      }) as Record<string, string>
    const known = new Set(codeParts(source).map(written))
    const editor = new EditorView(place.current, {
      attributes,
      state: EditorState.create({
        schema,
        doc: schema.node('doc', null, nodes(value, codes)),
        plugins: [
          history(),
          keymap({ 'Mod-z': undo, 'Mod-y': redo, 'Shift-Mod-z': redo, Enter: () => true }),
          keymap(baseKeymap),
        ],
      }),
      // Pasted text stays one line; codes that the source does not have are left out.
      transformPasted: (slice) => {
        const kept: Node[] = []
        let ended = false
        slice.content.descendants((node) => {
          // Paragraphs that were apart stay apart by a space.
          if (node.isBlock) ended = kept.length > 0
          const own = node.isText || (node.type.name === 'code' && known.has(written(partOf(node))))
          if (own && ended) kept.push(schema.text(' '))
          if (own) {
            kept.push(node)
            ended = false
          }
          return true
        })
        return new Slice(Fragment.from(kept), 0, 0)
      },
      clipboardTextParser: (text) => {
        const joined = text.replace(/\s*[\r\n]+\s*/g, ' ')
        const line = joined.replace(UNHOLDABLE, '')
        if (line !== joined) latest.current.onDropped()
        return new Slice(Fragment.from(line ? schema.text(line) : []), 0, 0)
      },
      // Blocks of other programs become lines of text here, so that words at their edges do not run together.
      transformPastedHTML: (html) => html.replace(/<\/(p|div|li|h[1-6]|tr|blockquote)>|<br[^>]*>/gi, ' $&'),
      clipboardTextSerializer: (slice) => slice.content.textBetween(0, slice.content.size, ''),
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
    // One editor for each segment: the card is keyed by it. A value that changes from outside goes through
    // replace. eslint-disable-next-line react-hooks/exhaustive-deps
  }, [])

  useImperativeHandle(
    ref,
    () => ({
      focus: () => view.current?.focus(),
      value: () => (view.current ? writtenOf(view.current.state.doc) : value),
      undo: () => {
        if (view.current) undo(view.current.state, view.current.dispatch)
      },
      redo: () => {
        if (view.current) redo(view.current.state, view.current.dispatch)
      },
      replace: (text) => {
        const editor = view.current
        if (!editor) return
        const change = closeHistory(editor.state.tr).replaceWith(
          0,
          editor.state.doc.content.size,
          nodes(text, codes),
        )
        editor.dispatch(change.setSelection(TextSelection.atEnd(change.doc)))
        editor.focus()
      },
      insert: (text) => {
        const editor = view.current
        if (!editor || !text) return
        editor.dispatch(closeHistory(editor.state.tr).insertText(text))
        editor.focus()
      },
      selected: () => {
        const state = view.current?.state
        return state ? state.doc.textBetween(state.selection.from, state.selection.to, '') : ''
      },
      insertMissing: () => {
        if (view.current) insertMissing(view.current, source, codes)
      },
    }),
    [codes, source, value],
  )

  return <div ref={place} />
}

// The next code of the source that the target lacks; around a selection the next missing pair.
function insertMissing(editor: EditorView, source: string, codes: Code[]) {
  const have = new Map<string, number>()
  editor.state.doc.forEach((node) => {
    if (!node.isText) have.set(written(partOf(node)), (have.get(written(partOf(node))) ?? 0) + 1)
  })
  const missing = codeParts(source).filter((part) => {
    const key = written(part)
    const left = have.get(key) ?? 0
    if (left > 0) {
      have.set(key, left - 1)
      return false
    }
    return true
  })
  const node = (part: Part) => nodes(written(part), codes)[0]
  const { from, to, empty } = editor.state.selection
  const pair =
    !empty &&
    missing.find(
      (part) =>
        part.kind === 'open' && missing.some((other) => other.kind === 'close' && other.id === part.id),
    )
  let change = closeHistory(editor.state.tr)
  if (pair) change = change.insert(to, node({ id: pair.id, kind: 'close' })).insert(from, node(pair))
  else if (missing.length)
    change = change.insert(to, node(missing[0])).setSelection(TextSelection.create(change.doc, to + 1))
  else return
  editor.dispatch(change)
  editor.focus()
}

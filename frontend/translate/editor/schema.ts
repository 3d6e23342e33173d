// A target as the editor holds it: a line of text with inline codes as atoms that typing cannot break.
import { Schema, type Node } from 'prosemirror-model'
import { parts, written, type Part } from '../../shared/content'
import type { Code } from '../../shared/types'

export const schema = new Schema({
  nodes: {
    doc: { content: 'inline*' },
    text: { group: 'inline' },
    code: {
      group: 'inline',
      inline: true,
      atom: true,
      selectable: true,
      attrs: { id: { default: 0 }, kind: { default: 'alone' }, display: { default: '' } },
      toDOM: ({ attrs: { id, kind, display } }) => [
        'span',
        { class: `token ${kind}`, title: display, 'data-code': `${kind}:${id}` },
        kind === 'close' ? `/${id}` : String(id),
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

export function nodeOf(part: Part, codes: Code[]): Node {
  if ('text' in part) return schema.text(part.text)
  const display = codes.find((code) => code.id === part.id)?.display ?? ''
  return schema.node('code', { ...part, display })
}

export const nodesOf = (value: string, codes: Code[]) => parts(value).map((part) => nodeOf(part, codes))

export const docOf = (value: string, codes: Code[]) => schema.node('doc', null, nodesOf(value, codes))

export const partOf = (node: Node): Part =>
  node.isText
    ? { text: node.text ?? '' }
    : { id: node.attrs.id as number, kind: node.attrs.kind as 'open' | 'close' | 'alone' }

export const writtenOf = (doc: Node) => doc.children.map((node) => written(partOf(node))).join('')

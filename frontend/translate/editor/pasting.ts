// What is pasted into a target stays one line, without codes the source does not have and without characters
// that no document can hold.
import { Fragment, Slice, type Node } from 'prosemirror-model'
import { codeParts, holdable, written } from '../../shared/content'
import { partOf, schema } from './schema'

const BLOCK_ENDS = /<\/(p|div|li|h[1-6]|tr|blockquote)>|<br[^>]*>/gi

// Paragraphs that were apart stay apart by a space.
function inOneLine(slice: Slice, known: Set<string>) {
  const kept: Node[] = []
  let ended = false
  slice.content.descendants((node) => {
    if (node.isBlock) ended = kept.length > 0
    const own = node.isText || (node.type.name === 'code' && known.has(written(partOf(node))))
    if (!own) return true
    if (ended) kept.push(schema.text(' '))
    kept.push(node)
    ended = false
    return true
  })
  return new Slice(Fragment.from(kept), 0, 0)
}

// onDropped: told when characters were left out.
export function pasting(source: string, onDropped: () => void) {
  const known = new Set(codeParts(source).map(written))
  return {
    transformPasted: (slice: Slice) => inOneLine(slice, known),
    clipboardTextParser: (text: string) => {
      const joined = text.replace(/\s*[\r\n]+\s*/g, ' ')
      const line = holdable(joined)
      if (line !== joined) onDropped()
      return new Slice(Fragment.from(line ? schema.text(line) : []), 0, 0)
    },
    // Blocks of other programs become lines of text here, so that words at their edges do not run together.
    transformPastedHTML: (html: string) => html.replace(BLOCK_ENDS, ' $&'),
    clipboardTextSerializer: (slice: Slice) => slice.content.textBetween(0, slice.content.size, ''),
  }
}

// The words that are selected in a passage, in its source or in the translation being written.
import type { Spot } from '../../shared/types'
import type { TargetHandle } from '../../translate/editor/targetHandle'

export function spotIn(place: HTMLElement | null, editor: TargetHandle | null): Spot | undefined {
  const selection = window.getSelection()
  const side = (['source', 'target'] as const).find((name) =>
    contains(place?.querySelector(`.${name}`), selection),
  )
  if (side) return spotFrom(side, place!.querySelector(`.${side}`)!, selection!.getRangeAt(0))
  const inEditor = editor?.selection()
  return inEditor?.text.trim() ? { side: 'target', ...inEditor } : undefined
}

const contains = (element: Element | null | undefined, selection: Selection | null) =>
  !!element && !!selection && !selection.isCollapsed && element.contains(selection.anchorNode)

// In letters of the text without its codes.
function spotFrom(side: Spot['side'], element: Element, range: Range): Spot | undefined {
  const before = document.createRange()
  before.setStart(element, 0)
  before.setEnd(range.startContainer, range.startOffset)
  const [start, inside] = [before, range].map((one) => Array.from(withoutCodes(one)))
  const text = inside.join('')
  if (!text.trim()) return undefined
  return { side, from: start.length, to: start.length + inside.length, text }
}

function withoutCodes(range: Range) {
  const part = range.cloneContents()
  part.querySelectorAll('.token').forEach((token) => token.remove())
  return part.textContent ?? ''
}

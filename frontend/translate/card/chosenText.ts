// What is marked in the open segment, in the target or anywhere in the card.
export interface Chosen {
  text: string
  side: 'source' | 'target'
}

export function chosenText(inTarget: string): Chosen {
  if (inTarget.trim()) return { text: inTarget.trim(), side: 'target' }
  const selection = window.getSelection()
  const anchor = selection?.anchorNode
  const element = anchor instanceof Element ? anchor : anchor?.parentElement
  const inSource = element?.closest('.card .source')
  return { text: inSource ? (selection?.toString().trim() ?? '') : '', side: 'source' }
}

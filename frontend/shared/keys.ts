// All keys in one map: command → key. Written as the user reads them; matched by the place of the key on the board.
export const KEYS = {
  finish: 'Ctrl+Enter',
  close: 'Escape',
  palette: 'Ctrl+K',
  nextUnfinished: 'Alt+N',
  nextSegment: 'Alt+PageDown',
  previousSegment: 'Alt+PageUp',
  nextProposal: 'Alt+ArrowDown',
  previousProposal: 'Alt+ArrowUp',
  takeProposal: 'Alt+Enter',
  missingCode: 'Alt+Period',
  takeSource: 'Ctrl+Shift+0',
  comeBack: 'Alt+M',
  split: 'Alt+X',
  join: 'Alt+J',
  companion: 'Alt+P',
  lookUp: 'Alt+L',
  apart: 'Alt+R',
  undo: 'Ctrl+Z',
  redo: 'Ctrl+Shift+Z',
} as const

export type Command = keyof typeof KEYS
// Ctrl+Shift+1 … 9 take a proposal by its number.
export const proposalKey = (number: number) => `Ctrl+Shift+${number}`

const mac = /Mac/.test(navigator.platform)
const SHOWN: Record<string, string> = {
  Enter: '↵',
  ArrowDown: '↓',
  ArrowUp: '↑',
  Escape: 'Esc',
  Period: '.',
  PageDown: 'Page ↓',
  PageUp: 'Page ↑',
  ...(mac ? { Ctrl: '⌘', Alt: '⌥', Shift: '⇧' } : {}),
}

export const shown = (key: string) =>
  key
    .split('+')
    .map((part) => SHOWN[part] ?? part)
    .join(' ')

const codeOf = (part: string) =>
  /^[A-Z]$/.test(part) ? `Key${part}` : /^\d$/.test(part) ? `Digit${part}` : part

export function matches(event: KeyboardEvent | React.KeyboardEvent, key: string): boolean {
  const wanted = key.split('+')
  const last = codeOf(wanted[wanted.length - 1])
  return (
    (event.ctrlKey || event.metaKey) === wanted.includes('Ctrl') &&
    event.altKey === wanted.includes('Alt') &&
    event.shiftKey === wanted.includes('Shift') &&
    (event.code === last ||
      event.key === wanted[wanted.length - 1] ||
      (last === 'Enter' && event.code === 'NumpadEnter'))
  )
}

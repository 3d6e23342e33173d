// All keys in one map: command → key. Written as the user reads them; matched by what the key writes.
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
  addTerm: 'Alt+T',
  carry: 'Alt+C',
  entry: 'Alt+E',
  spelling: 'Alt+S',
  undo: 'Ctrl+Z',
  redo: 'Ctrl+Shift+Z',
} as const

export type Command = keyof typeof KEYS
// Alt+Shift+1 … 9 put a term in.
export const termKey = (number: number) => `Alt+Shift+${number}`
// Ctrl+Alt+1 … 9 add a term to the termbase of that place.
export const termbaseKey = (place: number) => `Ctrl+Alt+${place}`
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

// A letter is the one on the user's keyboard; where that writes no Latin letter, the place of the key
// decides.
function isLetter(event: KeyboardEvent | React.KeyboardEvent, letter: string): boolean {
  const typed = event.key.toUpperCase()
  return /^[A-Z]$/.test(typed) ? typed === letter : event.code === `Key${letter}`
}

function isKey(event: KeyboardEvent | React.KeyboardEvent, name: string): boolean {
  if (/^[A-Z]$/.test(name)) return isLetter(event, name)
  if (/^\d$/.test(name)) return event.code === `Digit${name}`
  return event.code === name || event.key === name || (name === 'Enter' && event.code === 'NumpadEnter')
}

export function matches(event: KeyboardEvent | React.KeyboardEvent, key: string): boolean {
  const wanted = key.split('+')
  // On a Mac the Option key writes characters: those are typing.
  if (mac && event.altKey && !event.ctrlKey && !event.metaKey && event.key.length === 1) return false
  return (
    (event.ctrlKey || event.metaKey) === wanted.includes('Ctrl') &&
    event.altKey === wanted.includes('Alt') &&
    event.shiftKey === wanted.includes('Shift') &&
    isKey(event, wanted[wanted.length - 1])
  )
}

// All keys in one map: command → key. Written as the user reads them; matched by what the key writes.
export const OUR_KEYS = {
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
  nextMarked: 'Alt+Shift+M',
  note: 'Alt+W',
  sheet: 'Alt+K',
  fix: 'Alt+F',
  letStand: 'Alt+Backspace',
  toText: 'Alt+G',
  take: 'Enter',
  leave: 'Backspace',
  takeWords: 'Alt+Shift+Enter',
  past: 'Alt+H',
  clear: 'Alt+Delete',
  split: 'Alt+X',
  join: 'Alt+J',
  companion: 'Alt+P',
  apartWindow: 'Alt+Shift+P',
  lookUp: 'Alt+L',
  apart: 'Alt+R',
  addTerm: 'Alt+T',
  carry: 'Alt+C',
  entry: 'Alt+E',
  spelling: 'Alt+S',
  offers: 'Alt+O',
  undo: 'Ctrl+Z',
  redo: 'Ctrl+Shift+Z',
  takeBack: 'Alt+Z',
  doAgain: 'Alt+Shift+Z',
  whatWasDone: 'Alt+Y',
  filmPlay: 'Alt+V',
  filmCue: 'Alt+A',
  filmAgain: 'Alt+Shift+A',
  filmBack: 'Alt+Comma',
  frameBack: 'Alt+Shift+Comma',
  frameOn: 'Alt+Shift+Period',
  slower: 'Alt+Minus',
  faster: 'Alt+Equal',
  beginsHere: 'Alt+BracketLeft',
  endsHere: 'Alt+BracketRight',
  breakLines: 'Alt+B',
  walkBreaks: 'Alt+Shift+B',
  divide: 'Alt+U',
  pairSplit: 'S',
  pairJoin: 'J',
  pairOut: 'U',
  pairUp: 'Alt+ArrowUp',
  pairDown: 'Alt+ArrowDown',
  pairWrite: 'E',
  pairLeave: 'X',
} as const

export type Command = keyof typeof OUR_KEYS
// The keys in force: the default ones, except those that the user changed.
export const KEYS: Record<Command, string> = { ...OUR_KEYS }

export function setKeys(own: Record<string, string> = {}) {
  Object.assign(KEYS, OUR_KEYS)
  for (const [command, key] of Object.entries(own)) if (command in KEYS) KEYS[command as Command] = key
}

// In the order in which they are shown.
export const GROUPS: Record<string, Command[]> = {
  going: [
    ...(['finish', 'close', 'nextUnfinished', 'nextSegment', 'previousSegment'] as const),
    ...(['comeBack', 'nextMarked'] as const),
  ],
  writing: [
    ...([
      'missingCode',
      'carry',
      'offers',
      'spelling',
      'takeSource',
      'clear',
      'undo',
      'redo',
      'takeBack',
      'doAgain',
      'whatWasDone',
    ] as const),
    ...(['split', 'join', 'apart'] as const),
  ],
  offered: ['nextProposal', 'previousProposal', 'takeProposal', 'takeWords', 'addTerm'],
  beside: ['companion', 'apartWindow', 'lookUp', 'entry', 'past', 'note'],
  timed: [
    ...(['breakLines', 'walkBreaks', 'divide', 'filmPlay', 'filmCue', 'filmAgain', 'filmBack'] as const),
    ...(['frameBack', 'frameOn', 'slower', 'faster', 'beginsHere', 'endsHere'] as const),
  ],
  check: ['fix', 'letStand', 'toText', 'take', 'leave'],
  align: ['pairSplit', 'pairJoin', 'pairOut', 'pairUp', 'pairDown', 'pairWrite', 'pairLeave'],
  whole: ['palette', 'sheet'],
}

// The key of an event as the map writes it, or null while only Ctrl, Alt or Shift is held.
export function keyOf(event: KeyboardEvent | React.KeyboardEvent): string | null {
  if (['Control', 'Alt', 'Shift', 'Meta', 'AltGraph'].includes(event.key)) return null
  const letter = /^[a-z]$/i.test(event.key) ? event.key.toUpperCase() : null
  const place = event.code.replace(/^(?:Key|Digit)/, '')
  const held = [(event.ctrlKey || event.metaKey) && 'Ctrl', event.altKey && 'Alt', event.shiftKey && 'Shift']
  return [...held.filter(Boolean), letter ?? place].join('+')
}
// Alt+Shift+1 … 9 put a term in.
export const termKey = (number: number) => `Alt+Shift+${number}`
// Ctrl+Alt+1 … 9 add a term to the termbase of that place.
export const termbaseKey = (place: number) => `Ctrl+Alt+${place}`
// Ctrl+Shift+1 … 9 take a proposal by its number.
export const proposalKey = (number: number) => `Ctrl+Shift+${number}`

// Numbers are fixed.
export const isNumbered = (key: string) => /^(?:Ctrl\+Shift|Alt\+Shift|Ctrl\+Alt)\+[1-9]$/.test(key)

const mac = /Mac/.test(globalThis.navigator?.platform ?? '')
const SHOWN: Record<string, string> = {
  Enter: '↵',
  ArrowDown: '↓',
  ArrowUp: '↑',
  Escape: 'Esc',
  Period: '.',
  Comma: ',',
  Minus: '−',
  Equal: '=',
  BracketLeft: '[',
  BracketRight: ']',
  Backspace: '⌫',
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

// What commands and the companion may do with the open segment.
import type { Origin } from '../../shared/types'
import type { Chosen } from './chosenText'

export interface CardHandle {
  finish: () => boolean
  take: (number?: number) => void
  // The words marked in a proposal, or all of the chosen one, at the caret.
  takeWords: () => void
  choose: (step: number) => void
  missingCode: () => void
  // Leaves the target empty.
  clear: () => void
  focus: () => void
  undo: () => void
  redo: () => void
  write: (value: string, origin: Origin) => void
  insert: (text: string) => void
  selected: () => Chosen
  putTerm: (number: number) => void
  addTerm: (place?: number) => void
  carry: () => void
  spelling: () => void
  offers: () => void
  // What is written in it is the whole sentence: divided over its cues.
  divide: () => void
  // Breaks a cue into lines.
  breakLines: (which: 'best' | 'next') => void
  // The entry of its first term, or null.
  firstEntry: () => number | null
}

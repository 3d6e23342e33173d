// The keys of Translate: each runs its command wherever focus is, but while a character is being composed or
// a dialog is open.
import { useEffect } from 'react'
import { commands } from '../shared/commands'
import { KEYS, matches, proposalKey, termbaseKey, termKey, type Command } from '../shared/keys'

export type Actions = Partial<Record<Command, () => void>>

// The editor undoes and redoes by itself.
const EDITORS = new Set<Command>(['undo', 'redo'])
const NUMBERS = [1, 2, 3, 4, 5, 6, 7, 8, 9]
const DIALOG = '.ant-modal-wrap:not([style*="display: none"])'

// What takes a number: a proposal taken, a term put in, a term added to the termbase of a place.
export type Numbered = Record<'proposal' | 'term' | 'termbase', (number: number) => void>
const NUMBERED = [
  ['proposal', proposalKey],
  ['term', termKey],
  ['termbase', termbaseKey],
] as const

export function useTextKeys(actions: Actions, numbered: Numbered) {
  useEffect(() => commands.offer(actions), [actions])
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.isComposing) return
      const command = (Object.keys(actions) as Command[]).find(
        (name) => !EDITORS.has(name) && matches(event, KEYS[name]),
      )
      const run = command ? actions[command] : numberedBy(event, numbered)
      // A long page takes long to look through: only where the key means something.
      if (!run || document.querySelector(DIALOG)) return
      event.preventDefault()
      run()
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [actions, numbered])
}

function numberedBy(event: KeyboardEvent, numbered: Numbered): (() => void) | undefined {
  for (const [what, keyOf] of NUMBERED) {
    const number = NUMBERS.find((one) => matches(event, keyOf(one)))
    if (number) return () => numbered[what](number)
  }
  return undefined
}

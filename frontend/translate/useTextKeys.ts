// The keys of Translate: each runs its command wherever focus is, but while a character is being composed or a
// dialog is open.
import { useEffect } from 'react'
import { commands } from '../shared/commands'
import { KEYS, matches, proposalKey, type Command } from '../shared/keys'

export type Actions = Partial<Record<Command, () => void>>

// The editor undoes and redoes by itself.
const EDITORS = new Set<Command>(['undo', 'redo'])
const PROPOSALS = [1, 2, 3, 4, 5, 6, 7, 8, 9]
const DIALOG = '.ant-modal-wrap:not([style*="display: none"])'

export function useTextKeys(actions: Actions, takeProposal: (number: number) => void) {
  useEffect(() => commands.offer(actions), [actions])
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.isComposing || document.querySelector(DIALOG)) return
      const command = (Object.keys(actions) as Command[]).find(
        (name) => !EDITORS.has(name) && matches(event, KEYS[name]),
      )
      const proposal = PROPOSALS.find((number) => matches(event, proposalKey(number)))
      if (!command && !proposal) return
      event.preventDefault()
      if (command) actions[command]?.()
      else takeProposal(proposal!)
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [actions, takeProposal])
}

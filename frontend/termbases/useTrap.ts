// The keys of a form in place: Esc leaves it, Ctrl Enter keeps it; neither reaches the page around it.
import type { KeyboardEvent } from 'react'
import { KEYS, matches } from '../shared/keys'

export const useTrap = (leave: () => void, keep: () => void) => (event: KeyboardEvent) => {
  const keeps = matches(event, KEYS.finish)
  if (!keeps && !matches(event, KEYS.close)) return
  event.preventDefault()
  event.stopPropagation()
  if (keeps) keep()
  else leave()
}

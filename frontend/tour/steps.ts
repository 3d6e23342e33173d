// Where a look round has come to; kept while the window is open, over reloads too.
import { useSyncExternalStore } from 'react'

const PLACE = 'glossema.tour'
const listeners = new Set<() => void>()

const read = () => {
  const kept = sessionStorage.getItem(PLACE)
  return kept === null ? null : Number(kept)
}

// The number of the step, from 0; null: there is no look round.
export function goToStep(step: number | null) {
  if (step === null) sessionStorage.removeItem(PLACE)
  else sessionStorage.setItem(PLACE, String(step))
  listeners.forEach((listener) => listener())
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

export const useStep = () => useSyncExternalStore(subscribe, read)

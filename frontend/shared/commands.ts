// The commands of the view that is open, for the palette: those with keys, and others by name alone.
import type { Command } from './keys'

type Run = () => void
export interface Named {
  // The key of its text, by which the palette finds synonyms.
  id?: string
  name: string
  run: Run
}
let current = new Map<Command, Run>()
const named = new Set<Named[]>()

export const commands = {
  offer(list: Partial<Record<Command, Run>>) {
    const own = new Map(Object.entries(list) as [Command, Run][])
    current = own
    return () => {
      if (current === own) current = new Map()
    }
  },
  // Answers how to take them back.
  offerNamed(list: Named[]) {
    named.add(list)
    return () => {
      named.delete(list)
    }
  },
  list: () => [...current.entries()],
  named: () => [...named].flat(),
}

// The commands of the view that is open, for the palette.
import type { Command } from './keys'

type Run = () => void
let current = new Map<Command, Run>()

export const commands = {
  offer(list: Partial<Record<Command, Run>>) {
    const own = new Map(Object.entries(list) as [Command, Run][])
    current = own
    return () => {
      if (current === own) current = new Map()
    }
  },
  list: () => [...current.entries()],
}

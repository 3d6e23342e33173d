// Who else has this text open, and where: other tabs of the user and other people.
import { createContext, useContext, useEffect, useMemo, useRef, useState } from 'react'
import { consumer } from '../shared/live'
import { TAB } from '../shared/outbox'

interface Other {
  name: string
  user: number
  segment: number | null
}
interface Told extends Other {
  event: 'here' | 'gone'
  tab: string
  new?: boolean
}
// By tab.
type Others = Record<string, Other | undefined>

// Names by the segment that is open to them.
export type Presence = Map<number, Other[]>
export const PresenceContext = createContext<Presence>(new Map())
export const useOthersAt = (segment: number) => useContext(PresenceContext).get(segment)

export function usePresence(project: number, open: number | null): Presence {
  const [others, setOthers] = useState<Others>({})
  const channel = useRef<{ perform: (name: string, data: object) => void } | null>(null)
  const at = useRef(open)
  useEffect(() => {
    const say = (first: boolean) =>
      channel.current?.perform('here', { tab: TAB, segment: at.current, new: first })
    const made = consumer.subscriptions.create(
      { channel: 'PresenceChannel', id: project },
      {
        connected: () => say(true),
        // Who is there now is told anew once the connection is back.
        disconnected: () => setOthers({}),
        received: ({ event, tab, new: first, ...where }: Told) => {
          if (tab === TAB) return
          setOthers((known) => ({ ...known, [tab]: event === 'gone' ? undefined : where }))
          if (first) say(false)
        },
      },
    )
    channel.current = made
    return () => {
      channel.current = null
      made.unsubscribe()
    }
  }, [project])
  useEffect(() => {
    at.current = open
    channel.current?.perform('here', { tab: TAB, segment: open, new: false })
  }, [open])
  return useMemo(() => bySegment(others), [others])
}

function bySegment(others: Others): Presence {
  const found: Presence = new Map()
  for (const other of Object.values(others))
    if (other && other.segment !== null)
      found.set(other.segment, [...(found.get(other.segment) ?? []), other])
  return found
}

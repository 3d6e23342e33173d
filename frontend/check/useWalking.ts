// The findings walked by the arrow keys; the keys of fix and let stand work on the one that has the focus, and
// the next one has it then.
import { useEffect, useRef, type KeyboardEvent } from 'react'
import { KEYS, matches } from '../shared/keys'
import type { Finding } from './queries'
import type { Mending } from './useMending'

export function useWalking(shown: Finding[], mending: Mending) {
  const list = useRef<HTMLOListElement>(null)
  const wanted = useRef<number | null>(null)
  const places = () => [...(list.current?.querySelectorAll<HTMLElement>('a.plain') ?? [])]
  const focus = (index: number) => {
    const all = places()
    all[Math.min(Math.max(index, 0), all.length - 1)]?.focus()
  }
  // The list is another one once the server has answered.
  useEffect(() => {
    if (wanted.current === null) return
    focus(wanted.current)
    wanted.current = null
  }, [shown.length])
  const onKeyDown = (event: KeyboardEvent) => {
    const at = places().indexOf(event.currentTarget as HTMLElement)
    const finding = shown[at]
    if (!finding) return
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
    if (step) focus(at + step)
    else if (finding.stands) return
    else if (finding.fix && matches(event, KEYS.fix)) mending.putRight([finding])
    else if (matches(event, KEYS.letStand)) mending.letStand(finding)
    else return
    event.preventDefault()
    if (!step) wanted.current = at
  }
  return { list, onKeyDown }
}

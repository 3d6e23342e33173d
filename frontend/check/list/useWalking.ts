// The findings walked by the arrow keys; the keys of Check work on the one that has the focus, and the next one
// has it then.
import { useEffect, useRef, type KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import { KEYS, matches } from '../../shared/keys'
import type { Finding } from '../queries'
import type { Open } from './FindingList'
import type { Mending } from './useMending'

interface Parts {
  shown: Finding[]
  mending: Mending
  project: number
  setOpen: (open: Open) => void
}

export function useWalking({ shown, mending, project, setOpen }: Parts) {
  const navigate = useNavigate()
  const list = useRef<HTMLOListElement>(null)
  const wanted = useRef<number | null>(null)
  const items = () => [...(list.current?.querySelectorAll<HTMLElement>('li:not(.heading)') ?? [])]
  const focus = (index: number) => {
    const all = items()
    all[Math.min(Math.max(index, 0), all.length - 1)]?.querySelector<HTMLElement>('.finding')?.focus()
  }
  // The list is another one once the server has answered.
  useEffect(() => {
    if (wanted.current === null) return
    focus(wanted.current)
    wanted.current = null
  }, [shown])
  const onKeyDown = (event: KeyboardEvent) => {
    const at = items().findIndex((item) => item.contains(event.currentTarget))
    const finding = shown[at]
    if (!finding) return
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
    if (step) focus(at + step)
    else if (matches(event, KEYS.toText))
      void navigate(`/projects/${project}/translate#${finding.segment_id}`)
    else if (finding.stands) return
    else if (finding.fix && matches(event, KEYS.fix)) mending.putRight([finding])
    else if (matches(event, KEYS.letStand)) setOpen({ key: finding.key, what: 'standing' })
    else return
    event.preventDefault()
    if (!step) wanted.current = at
  }
  const focusAgain = (index: number) => {
    wanted.current = index
    window.setTimeout(() => focus(index))
  }
  return { list, onKeyDown, focusAgain }
}

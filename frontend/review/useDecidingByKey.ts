// Changes walked by the arrow keys and decided by key; then the next one that is open has the focus.
import { useEffect, useRef, type KeyboardEvent } from 'react'
import { KEYS, matches } from '../shared/keys'
import type { ReviewChange } from '../shared/types'
import type { Deciding } from './useDeciding'

export function useDecidingByKey(shown: ReviewChange[], deciding: Deciding) {
  const list = useRef<HTMLOListElement>(null)
  const wanted = useRef<number | null>(null)
  const focus = (index: number) => {
    const all = [...(list.current?.querySelectorAll<HTMLElement>('[data-walked]') ?? [])]
    all[Math.min(Math.max(index, 0), all.length - 1)]?.focus()
  }
  useEffect(() => {
    if (wanted.current === null) return
    const from = wanted.current
    const next = shown.findIndex((change, index) => index > from && change.decision === 'open')
    focus(next < 0 ? from : next)
    wanted.current = null
  }, [shown])
  const onKeyDown = (event: KeyboardEvent) => {
    const items = [...(list.current?.querySelectorAll('[data-walked]') ?? [])]
    const at = items.indexOf(event.currentTarget)
    const change = shown[at]
    if (!change) return
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
    if (step) focus(at + step)
    else if (change.decision === 'open' && !change.refused && matches(event, KEYS.take))
      deciding.decide([change], 'taken')
    else if (change.decision === 'open' && matches(event, KEYS.leave)) deciding.decide([change], 'left')
    else return
    event.preventDefault()
    if (!step) wanted.current = at
  }
  return { list, onKeyDown }
}

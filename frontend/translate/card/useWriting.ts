// Writing in the open segment: what is typed becomes a draft that knows where it came from; a wording that
// came from elsewhere is shown, and is not typing.
import { useCallback, useEffect, useRef, type RefObject } from 'react'
import type { Origin, Segment } from '../../shared/types'
import type { TargetHandle } from '../editor/targetHandle'
import type { Store } from '../store'

// Text that was taken over and is typed on still goes back to where it came from.
const typedOn = (origin: Origin): Origin =>
  origin.kind === 'memory' || origin.kind === 'machine' ? { ...origin, touched: true } : { kind: 'typed' }

// A blank at the end that an offer brought along is none of the text, unless the source ends with one too.
export const withoutBlank = (value: string, source: string) =>
  source.endsWith(' ') ? value : value.replace(/ +$/, '')

export function useWriting(segment: Segment, store: Store, target: RefObject<TargetHandle | null>) {
  const origin = useRef<Origin>(segment.origin.kind ? segment.origin : { kind: 'typed' })
  // While a text is put in as a whole the editor's changes are no typing.
  const putting = useRef(false)
  const id = segment.id
  const replace = useCallback(
    (value: string) => {
      putting.current = true
      target.current?.replace(value)
      putting.current = false
    },
    [target],
  )
  const changed = useCallback(
    (value: string) => {
      if (putting.current) return
      origin.current = typedOn(origin.current)
      store.draft(id, value, origin.current)
    },
    [id, store],
  )
  const put = useCallback(
    (value: string, from: Origin) => {
      origin.current = from
      replace(value)
      store.draft(id, value, from)
    },
    [id, replace, store],
  )
  const confirm = useCallback((value: string) => store.confirm(id, value, origin.current), [id, store])

  const waits = !!store.outbox.pending(id)
  useEffect(() => {
    if (!waits && target.current && target.current.value() !== segment.target) replace(segment.target)
  }, [replace, segment.target, segment.version, target, waits])
  // The caret goes where the work is, without moving the text.
  useEffect(() => {
    target.current?.focus()
  }, [target])
  return { put, show: replace, changed, confirm }
}

// One key breaks a cue in the best place, another walks the places there are.
import { useRef, type RefObject } from 'react'
import { useTranslation } from 'react-i18next'
import type { Segment } from '../../shared/types'
import type { TargetHandle } from '../editor/targetHandle'
import { linesOf } from './queries'

interface Parts {
  segment: Segment
  target: RefObject<TargetHandle | null>
  // Puts a wording in as if it were typed.
  write: (value: string) => void
  say: (text: string) => void
}

export function useLineBreaks({ segment, target, write, say }: Parts) {
  const { t } = useTranslation()
  const known = useRef<string[]>([])
  return async (which: 'best' | 'next') => {
    const value = target.current?.value() ?? ''
    if (segment.block !== 'cue' || !value.trim()) return
    const at = known.current.indexOf(value)
    const ways = at < 0 ? await linesOf(segment.id, value).catch(() => []) : known.current
    // The user typed on, or left, while it was requested.
    if (!target.current || target.current.value() !== value || !ways.length) return
    known.current = ways
    const next = which === 'best' ? 0 : (ways.indexOf(value) + 1) % ways.length
    if (ways[next] !== value) write(ways[next])
    say(t('timed.way', { number: next + 1, count: ways.length }))
  }
}

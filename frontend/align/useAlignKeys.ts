// The keys of Align: pairs walked by the arrows, a side and a text in it chosen, acts on them.
import { useEffect, useRef } from 'react'
import { KEYS, matches, type Command } from '../shared/keys'
import { SIDES, type Bead } from './queries'
import type { Aligning } from './useAligning'

const FIELDS = 'input, textarea, select, [contenteditable=true], .ant-select, .ant-modal'

export function useAlignKeys(aligning: Aligning, beads: Bead[]) {
  const latest = useRef({ aligning, beads })
  useEffect(() => {
    latest.current = { aligning, beads }
  })
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.isComposing || (event.target as Element).closest(FIELDS)) return
      const run = actFor(event, latest.current.aligning, latest.current.beads)
      if (!run) return
      event.preventDefault()
      run()
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [])
}

function actFor(event: KeyboardEvent, aligning: Aligning, beads: Bead[]): (() => void) | undefined {
  const { at, side, index, edit } = aligning
  const always: Partial<Record<Command, () => void>> = {
    nextUnfinished: () => aligning.nextDoubtful(),
    takeBack: aligning.undo,
    doAgain: aligning.redo,
    undo: aligning.undo,
    redo: aligning.redo,
  }
  const ofPair: Partial<Record<Command, () => void>> = {
    finish: aligning.confirm,
    close: () => aligning.open(null),
    pairSplit: () => edit({ act: 'split' }),
    pairJoin: () => edit({ act: 'join' }),
    pairOut: () => edit({ act: 'take_out', side, index }),
    pairUp: () => edit({ act: 'up', side }),
    pairDown: () => edit({ act: 'down', side }),
    pairWrite: () => aligning.setWriting(true),
    pairLeave: () => edit({ act: 'leave' }),
  }
  const acts = at === null ? always : { ...always, ...ofPair }
  const command = (Object.keys(acts) as Command[]).find((name) => matches(event, KEYS[name]))
  return command ? acts[command] : walk(event, aligning, beads)
}

// Up and down through the texts of the chosen side, and on to the next pair; left and right to the other side.
function walk(event: KeyboardEvent, aligning: Aligning, beads: Bead[]): (() => void) | undefined {
  const { at, shown, side, index, open, choose } = aligning
  if (event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return undefined
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (step) {
    if (at === null) return () => open(shown[0] ?? null)
    if (beads[at][side][index + step]) return () => choose(side, index + step)
    const next = shown[shown.indexOf(at) + step]
    return next === undefined ? undefined : () => open(next)
  }
  const over = { ArrowLeft: SIDES[0], ArrowRight: SIDES[1] }[event.key]
  return at !== null && over ? () => choose(over, 0) : undefined
}

// A round being made: what is chosen of it, whether it can be made, and the rounds that come of it: one, or one
// for each share of the words or each file.
import { useState } from 'react'
import type { Project } from '../shared/types'
import { useAct } from '../shared/useAct'
import {
  sendOut,
  sheetAddress,
  useDivision,
  useRefreshRounds,
  type Division,
  type SheetOptions,
} from './queries'

const USUAL: SheetOptions = {
  reviser: '',
  as: 'inside',
  may: 'change',
  tracking: true,
  instructions: true,
  terms: false,
  notes: true,
  task: '',
  message: '',
  due_at: '',
  memories: true,
  termbases: true,
  matching: false,
}

interface Parts {
  project: Project
  // The segments a filter left, or all.
  chosen: number[] | undefined
  onMade: (id: number) => void
}

export function useNewRound({ project, chosen, onMade }: Parts) {
  const [options, setOptions] = useState(USUAL)
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set())
  const [segments, setSegments] = useState(chosen)
  const [oneEach, setOneEach] = useState(false)
  const { act, busy } = useAct()
  const refresh = useRefreshRounds(project.id)
  const files = filesOf(project, left)
  const names = options.as === 'hand-over' && !segments ? namesIn(options.reviser) : []
  const division = useDivision(project.id, names.length, files.document_ids)
  const isNamed =
    options.as === 'inside'
      ? options.email === undefined || options.email.includes('@')
      : !!options.reviser.trim()
  const isDivided = names.length < 2 || division.data?.shares.length === names.length
  const wanted = { ...options, ...files, ...(segments ? { segment_ids: segments } : {}) }
  const all =
    oneEach && options.as !== 'inside' && options.as !== 'hand-over'
      ? forEachFile(wanted, project)
      : forEachName(wanted, names, division.data)
  const make = () =>
    void act(async () => {
      const made: number[] = []
      for (const one of all) made.push(await sendOut(project.id, one))
      await refresh()
      onMade(made[0])
      if (options.as !== 'inside' && made.length === 1) window.location.assign(sheetAddress(made[0]))
    })
  const set = (fields: Partial<SheetOptions>) => setOptions({ ...options, ...fields })
  return {
    options,
    set,
    left,
    setLeft,
    segments,
    setSegments,
    oneEach,
    setOneEach,
    names,
    division,
    busy,
    make,
    ready: isNamed && isDivided,
  }
}

// Nothing more where all files go out.
function filesOf(project: Project, left: ReadonlySet<number>): { document_ids?: number[] } {
  if (left.size === 0) return {}
  return { document_ids: project.documents.map((one) => one.id).filter((id) => !left.has(id)) }
}

const namesIn = (text: string) =>
  text
    .split(/[,;]/)
    .map((name) => name.trim())
    .filter(Boolean)

function forEachName(options: SheetOptions, names: string[], division: Division | undefined): SheetOptions[] {
  if (names.length < 2 || division?.shares.length !== names.length) return [options]
  return names.map((reviser, index) => ({
    ...options,
    reviser,
    segment_ids: division.shares[index].segment_ids,
  }))
}

function forEachFile(options: SheetOptions, project: Project): SheetOptions[] {
  const ids = options.document_ids ?? project.documents.map(({ id }) => id)
  return ids.map((id) => ({ ...options, document_ids: [id] }))
}

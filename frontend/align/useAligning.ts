// An alignment being put right: which pair is open, which are shown, and what is done with them.
import { App } from 'antd'
import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useMemo, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { keys } from '../shared/queryKeys'
import { useAct } from '../shared/useAct'
import { doAct, redo, undo, type Act, type AlignmentPage, type Bead, type Edited, type Side } from './queries'

export type Narrowed = 'all' | 'doubtful' | 'single' | 'confirmed'

const FITS: Record<Narrowed, (bead: Bead) => boolean> = {
  all: () => true,
  doubtful: ({ doubtful }) => doubtful,
  single: ({ source, target }) => !source.length || !target.length,
  confirmed: ({ state }) => state === 'confirmed',
}

export function useAligning(page: AlignmentPage) {
  const [at, setAt] = useState<number | null>(null)
  const [side, setSide] = useState<Side>('source')
  const [index, setIndex] = useState(0)
  // Is the chosen text being written?
  const [writing, setWriting] = useState(false)
  const [narrowed, setNarrowed] = useState<Narrowed>('all')
  const { beads } = page
  const shown = useMemo(
    () => beads.flatMap((bead, place) => (place === at || FITS[narrowed](bead) ? [place] : [])),
    [beads, narrowed, at],
  )
  const open = useCallback((place: number | null) => {
    setAt(place)
    setIndex(0)
    setWriting(false)
  }, [])
  const choose = useCallback((wanted: Side, item: number) => {
    setSide(wanted)
    setIndex(item)
  }, [])
  const acting = useActing(page, at, open)
  return { at, open, side, index, choose, writing, setWriting, narrowed, setNarrowed, shown, ...acting }
}

export type Aligning = ReturnType<typeof useAligning>

function useActing(page: AlignmentPage, at: number | null, open: (place: number | null) => void) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const { act } = useAct()
  const put = usePut(page.alignment.id)
  const { id } = page.alignment
  const { beads } = page
  const run = (work: () => Promise<Edited>, then?: (edited: Edited) => void) =>
    void act(async () => {
      const edited = await work()
      put(edited)
      if (!edited.replaced.length) void message.info(t('align.nothingToUndo'))
      then?.(edited)
    })
  const nextDoubtful = (from = at ?? -1, list = beads) => {
    const place = [...list.keys()].find((one) => one > from && list[one].doubtful)
    const first = place ?? list.findIndex((bead) => bead.doubtful)
    if (first < 0 || first === from) {
      void message.info(t('align.noDoubtful'))
      if (from + 1 < list.length) open(from + 1)
    } else open(first)
  }
  return {
    nextDoubtful,
    edit: (fields: Omit<Act, 'at'>) => {
      if (at !== null)
        run(
          () => doAct(id, { ...fields, at }),
          ({ replaced }) => open(replaced[0]?.at ?? at),
        )
    },
    confirm: () => {
      if (at === null) return
      run(
        () => doAct(id, { act: 'confirm', at }),
        ({ replaced }) => nextDoubtful(at, spliced(beads, replaced)),
      )
    },
    confirmAbove: (above: number) => run(() => doAct(id, { above })),
    undo: () =>
      run(
        () => undo(id),
        ({ replaced }) => replaced.length && open(replaced.at(-1)!.at),
      ),
    redo: () =>
      run(
        () => redo(id),
        ({ replaced }) => replaced.length && open(replaced[0].at),
      ),
  }
}

// What the server answers takes its place in the list at once.
function usePut(id: number) {
  const cache = useQueryClient()
  return ({ replaced, alignment }: Edited) => {
    cache.setQueryData<AlignmentPage>(
      keys.alignment(id),
      (old) => old && { alignment, beads: spliced(old.beads, replaced) },
    )
    void cache.invalidateQueries({ queryKey: keys.alignments })
  }
}

function spliced(beads: Bead[], replaced: Edited['replaced']) {
  const list = [...beads]
  for (const { at, count, beads: fresh } of replaced) list.splice(at, count, ...fresh)
  return list
}

// Going about the text: to where work was left, to the next unfinished segment, to one that is named; what
// comes next is fetched ahead.
import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { api } from '../shared/api'
import { missingCodes } from '../shared/balance'
import type { Project } from '../shared/types'
import { contextQuery, proposalsQuery, termsQuery } from './queries'
import { isUnfinished, type Store } from './store'
import type { useOpen } from './useOpen'
import type { Shown } from './useShown'

const AHEAD = 3
const FRESH = 20_000
// Where a segment stands that is gone to from afar, in px from the top.
export const AFAR = 150

interface Where {
  project: Project
  store: Store
  shown: Shown
  opening: ReturnType<typeof useOpen>
  hash: string
  say: (text: string) => void
}

export function useNavigation({ project, store, shown, opening, hash, say }: Where) {
  const { t } = useTranslation()
  const go = useNavigate()
  const { order, showAll } = shown
  const { open, openAt, openRow } = opening
  const unfinishedAt = useCallback(
    (index: number) => isUnfinished(store.byId.get(order[index])!),
    [order, store],
  )

  const { from, hidden } = useHere(open, order)
  useEffect(() => {
    const linked = Number(hash.slice(1))
    // A link leads to a segment that the kept filter hides.
    if (linked && !order.includes(linked) && store.byId.has(linked)) {
      hidden.current = linked
      return showAll()
    }
    const wanted = linked || project.last_segment_id
    const index = wanted ? order.indexOf(wanted) : order.findIndex((_, at) => unfinishedAt(at))
    openRow(
      order.findIndex((id, at) => at >= index && !store.byId.get(id)!.locked),
      AFAR,
    )
    // Only when the text is opened, or a link leads to another segment of it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [store, hash])
  useEffect(() => {
    void api.patch(`/projects/${project.id}`, { opened: true }).catch(() => undefined)
  }, [project.id])
  useEffect(() => {
    const index = hidden.current ? order.indexOf(hidden.current) : -1
    if (index < 0) return
    hidden.current = null
    openRow(index, AFAR)
  }, [hidden, openRow, order])
  useAhead(order, openAt, unfinishedAt)

  const nextUnfinished = useCallback(() => {
    const count = order.length
    for (let step = 1; step <= count; step += 1) {
      const index = (from(openAt) + step + count) % count
      if (unfinishedAt(index)) return openRow(index)
    }
    // What the last segment lost is not talked over.
    const last = open === null ? undefined : store.byId.get(open)
    const codes = last ? missingCodes(last.source, last.target).join(' ') : ''
    say(codes ? t('translate.lostAtEnd', { codes }) : t('translate.allDone'))
  }, [from, open, openAt, openRow, order, say, store, t, unfinishedAt])

  const nextMarked = useCallback(() => {
    const count = order.length
    for (let step = 1; step <= count; step += 1) {
      const index = (from(openAt) + step + count) % count
      if (store.byId.get(order[index])!.marked) return openRow(index, AFAR)
    }
    say(t('translate.noneMarked'))
  }, [from, openAt, openRow, order, say, store, t])

  // To a segment by its number in the database, also when it is not among those shown.
  const goTo = useCallback(
    (segment: number) => {
      const index = order.indexOf(segment)
      if (index >= 0) return openRow(index, AFAR)
      showAll()
      void go(`#${segment}`)
    },
    [go, openRow, order, showAll],
  )
  return { nextUnfinished, nextMarked, goTo }
}

// Where the user is, also when the segment was closed: the next one is looked for from there.
function useHere(open: number | null, order: number[]) {
  const last = useRef<number | null>(null)
  const hidden = useRef<number | null>(null)
  useEffect(() => {
    if (open !== null) last.current = open
  }, [open])
  const from = useCallback(
    (openAt: number) => (openAt >= 0 || last.current === null ? openAt : order.indexOf(last.current)),
    [order],
  )
  return { from, hidden }
}

// Proposals for what comes next are there before it is opened.
function useAhead(order: number[], openAt: number, unfinishedAt: (index: number) => boolean) {
  const cache = useQueryClient()
  useEffect(() => {
    if (openAt < 0) return
    let found = 0
    for (let index = openAt + 1; index < order.length && found < AHEAD; index += 1) {
      if (!unfinishedAt(index)) continue
      void cache.prefetchQuery({ ...proposalsQuery(order[index]), staleTime: FRESH })
      void cache.prefetchQuery(termsQuery(order[index]))
      void cache.prefetchQuery(contextQuery(order[index]))
      found += 1
    }
  }, [cache, openAt, order, unfinishedAt])
}

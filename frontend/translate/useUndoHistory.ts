// Undoing and redoing what was done in the text, also in segments the user has left.
import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useMemo, type RefObject } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { finished } from '../operations/follow'
import { undoOperation } from '../operations/queries'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Segment } from '../shared/types'
import type { Act } from '../shared/useAct'
import type { CardHandle } from './card/cardHandle'
import { isWritten, type Doing, type Recut, type Standing, type Written } from './undoHistory'
import { refreshText, type Listing } from './queries'
import { isUnfinished, type Store } from './store'

interface Parts {
  card: RefObject<CardHandle | null>
  store: Store
  open: number | null
  goTo: (segment: number) => void
  act: Act
  say: (text: string) => void
}

export function useUndoHistory({ card, store, open, goTo, act, say }: Parts) {
  const { t } = useTranslation()
  const put = useCallback(
    (id: number, { target, origin, state }: Standing) => {
      store.undoHistory.quietly(() => {
        if (id === open) card.current?.write(target, origin)
        const now = store.byId.get(id)
        if (now && !isUnfinished({ ...now, state })) store.confirm(id, target, origin)
        else store.draft(id, target, origin, now && !isUnfinished(now))
      })
    },
    [card, open, store],
  )
  const cache = useQueryClient()
  const go = useNavigate()
  const joinBack = useCallback(
    ({ operation, number, document }: Recut) =>
      void act(async () => {
        await store.outbox.emptied()
        await finished(await undoOperation(operation))
        await refreshText(cache, store.project)
        const text = cache.getQueryData<Listing>(keys.segments(store.project))
        const there = text?.segments.find((one) => one.document_id === document && one.position === number)
        if (there) void go(`#${there.id}`, { replace: true })
        say(t('undoHistory.takenBack', { number }))
      }),
    [act, cache, go, say, store, t],
  )
  // To one of them, where none is open.
  const comeTo = useCallback(
    (undoHistory: Written[]) => {
      if (!undoHistory.some(({ id }) => id === open)) goTo(undoHistory[0].id)
    },
    [goTo, open],
  )
  const takeBack = useCallback(
    (wanted?: Doing) => {
      const all = store.undoHistory.takeBack(wanted)
      const recut = all.find((doing): doing is Recut => !isWritten(doing))
      if (recut) return joinBack(recut)
      const undoHistory = all.filter(isWritten)
      if (!undoHistory.length) return say(t('undoHistory.nothing'))
      undoHistory.forEach(({ id, before }) => put(id, before))
      comeTo(undoHistory)
      say(
        t('undoHistory.takenBack', {
          number: undoHistory
            .map(({ number }) => number)
            .toReversed()
            .join(', '),
        }),
      )
      for (const { id } of undoHistory.filter(({ filled }) => filled))
        void act(async () => {
          const { segments } = await api.delete<{ segments: Segment[] }>(`/segments/${id}/repeats`)
          store.take(segments)
        })
    },
    [act, comeTo, joinBack, put, say, store, t],
  )
  const doAgain = useCallback(() => {
    const undoHistory = store.undoHistory.doAgain()
    if (!undoHistory.length) return say(t('undoHistory.nothingAgain'))
    undoHistory.forEach(({ id, after }) => put(id, after))
    comeTo(undoHistory)
    say(t('undoHistory.doneAgain', { number: undoHistory.map(({ number }) => number).join(', ') }))
  }, [comeTo, put, say, store, t])
  return useMemo(() => ({ takeBack, doAgain }), [doAgain, takeBack])
}

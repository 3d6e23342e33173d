// Taking back and doing again what was done in the text, also in segments she has left.
import { useCallback, useMemo, type RefObject } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import type { Segment } from '../shared/types'
import type { Act } from '../shared/useAct'
import type { CardHandle } from './card/cardHandle'
import type { Doing, Standing } from './doings'
import { isUnfinished, type Store } from './store'

interface Parts {
  card: RefObject<CardHandle | null>
  store: Store
  open: number | null
  goTo: (segment: number) => void
  act: Act
  say: (text: string) => void
}

export function useDoings({ card, store, open, goTo, act, say }: Parts) {
  const { t } = useTranslation()
  const put = useCallback(
    (id: number, { target, origin, state }: Standing) => {
      store.doings.quietly(() => {
        if (id === open) card.current?.write(target, origin)
        const before = store.byId.get(id)
        if (before && !isUnfinished({ ...before, state })) store.confirm(id, target, origin)
        else store.draft(id, target, origin)
      })
    },
    [card, open, store],
  )
  // To one of them, where none is open.
  const comeTo = useCallback(
    (doings: Doing[]) => {
      if (!doings.some(({ id }) => id === open)) goTo(doings[0].id)
    },
    [goTo, open],
  )
  const takeBack = useCallback(
    (wanted?: Doing) => {
      const doings = store.doings.takeBack(wanted)
      if (!doings.length) return say(t('doings.nothing'))
      doings.forEach(({ id, before }) => put(id, before))
      comeTo(doings)
      say(
        t('doings.takenBack', {
          number: doings
            .map(({ number }) => number)
            .toReversed()
            .join(', '),
        }),
      )
      for (const { id } of doings.filter(({ filled }) => filled))
        void act(async () => {
          const { segments } = await api.delete<{ segments: Segment[] }>(`/segments/${id}/repeats`)
          store.take(segments)
        })
    },
    [act, comeTo, put, say, store, t],
  )
  const doAgain = useCallback(() => {
    const doings = store.doings.doAgain()
    if (!doings.length) return say(t('doings.nothingAgain'))
    doings.forEach(({ id, after }) => put(id, after))
    comeTo(doings)
    say(t('doings.doneAgain', { number: doings.map(({ number }) => number).join(', ') }))
  }, [comeTo, put, say, store, t])
  return useMemo(() => ({ takeBack, doAgain }), [doAgain, takeBack])
}

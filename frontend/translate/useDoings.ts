// Taking back and doing again what was done in the text, also in segments she has left.
import { useCallback, type RefObject } from 'react'
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
      if (id !== open) goTo(id)
    },
    [card, goTo, open, store],
  )
  const takeBack = useCallback(
    (wanted?: Doing) => {
      const doing = store.doings.takeBack(wanted)
      if (!doing) return say(t('doings.nothing'))
      put(doing.id, doing.before)
      say(t('doings.takenBack', { number: doing.number }))
      if (!doing.filled) return
      void act(async () => {
        const { segments } = await api.delete<{ segments: Segment[] }>(`/segments/${doing.id}/repeats`)
        store.take(segments)
      })
    },
    [act, put, say, store, t],
  )
  const doAgain = useCallback(() => {
    const doing = store.doings.doAgain()
    if (!doing) return say(t('doings.nothingAgain'))
    put(doing.id, doing.after)
    say(t('doings.doneAgain', { number: doing.number }))
  }, [put, say, store, t])
  return { takeBack, doAgain }
}

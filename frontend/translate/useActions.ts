// The commands of Translate, by name.
import { useCallback, useMemo, type RefObject } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import type { Segment } from '../shared/types'
import type { Act } from '../shared/useAct'
import type { CardHandle } from './card/Card'
import type { Store } from './store'
import type { useCuts } from './useCuts'
import type { useOpen } from './useOpen'
import type { Actions } from './useTextKeys'

interface Parts {
  card: RefObject<CardHandle | null>
  scroll: RefObject<HTMLDivElement | null>
  store: Store
  opening: ReturnType<typeof useOpen>
  cuts: ReturnType<typeof useCuts>
  act: Act
  say: (text: string) => void
  nextUnfinished: () => void
  lookUp: () => void
  fold: () => void
  showEntry: (entry?: number) => void
}

export function useActions(parts: Parts): Actions {
  const { card, scroll, store, opening, cuts, act, say, nextUnfinished, lookUp, fold, showEntry } = parts
  const { open, openAt, openRow, close } = opening
  const { setCutting, join } = cuts
  const setApart = useSetApart(store, open, act, say)
  return useMemo(
    () => ({
      finish: () => {
        if (card.current?.finish()) nextUnfinished()
      },
      close: () => {
        close()
        scroll.current?.focus()
      },
      nextUnfinished,
      nextSegment: () => openRow(openAt + 1),
      previousSegment: () => openRow(openAt - 1),
      nextProposal: () => card.current?.choose(1),
      previousProposal: () => card.current?.choose(-1),
      takeProposal: () => card.current?.take(),
      addTerm: () => card.current?.addTerm(),
      carry: () => card.current?.carry(),
      spelling: () => card.current?.spelling(),
      entry: () => showEntry(),
      missingCode: () => card.current?.missingCode(),
      takeSource: () => card.current?.take(0),
      comeBack: () => {
        if (open !== null) store.mark(open)
      },
      split: () => setCutting((now) => !now && open !== null),
      join: () => void join(),
      lookUp,
      apart: setApart,
      companion: fold,
      undo: () => card.current?.undo(),
      redo: () => card.current?.redo(),
    }),
    [
      card,
      close,
      fold,
      join,
      lookUp,
      nextUnfinished,
      open,
      openAt,
      openRow,
      scroll,
      setApart,
      setCutting,
      showEntry,
      store,
    ],
  )
}

// A repeat that is to read otherwise than the others, or like them again.
function useSetApart(store: Store, open: number | null, act: Act, say: (text: string) => void) {
  const { t } = useTranslation()
  return useCallback(() => {
    const segment = open === null ? undefined : store.byId.get(open)
    if (!segment) return
    void act(async () => {
      await store.outbox.emptied()
      const fields = { exempt: !segment.exempt }
      const answer = await api.patch<{ segment: Segment }>(`/segments/${segment.id}`, fields)
      store.take([answer.segment])
      say(t(answer.segment.exempt ? 'translate.apartOn' : 'translate.apartOff'))
    })
  }, [act, open, say, store, t])
}

// The commands of Translate, by name.
import { useCallback, useMemo, type RefObject } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import type { Segment } from '../shared/types'
import type { Act } from '../shared/useAct'
import type { CardHandle } from './card/cardHandle'
import type { Store } from './store'
import type { useUndoHistory } from './useUndoHistory'
import type { useCompanion } from './companion/useCompanion'
import type { useCuts } from './useCuts'
import type { useOpen } from './useOpen'
import type { Actions } from './useTextKeys'

interface Parts {
  card: RefObject<CardHandle | null>
  scroll: RefObject<HTMLDivElement | null>
  store: Store
  opening: ReturnType<typeof useOpen>
  cuts: ReturnType<typeof useCuts>
  companion: ReturnType<typeof useCompanion>
  undoHistory: ReturnType<typeof useUndoHistory>
  act: Act
  say: (text: string) => void
  nextUnfinished: () => void
  nextMarked: () => void
  showDone: () => void
}

export function useActions(parts: Parts): Actions {
  const { card, scroll, store, opening, cuts, companion, undoHistory, act, say } = parts
  const { nextUnfinished, nextMarked, showDone } = parts
  const { fold, lookUp, showEntry, writeNote, showPast, showApart } = companion
  const { open, openBeside, close } = opening
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
      nextSegment: () => openBeside(1),
      previousSegment: () => openBeside(-1),
      nextProposal: () => card.current?.choose(1),
      previousProposal: () => card.current?.choose(-1),
      takeProposal: () => card.current?.take(),
      takeWords: () => card.current?.takeWords(),
      addTerm: () => card.current?.addTerm(),
      carry: () => card.current?.carry(),
      spelling: () => card.current?.spelling(),
      offers: () => card.current?.offers(),
      entry: () => showEntry(),
      missingCode: () => card.current?.missingCode(),
      takeSource: () => card.current?.take(0),
      note: writeNote,
      past: showPast,
      nextMarked,
      clear: () => card.current?.clear(),
      comeBack: () => {
        if (open !== null) store.mark(open)
      },
      split: () => setCutting((now) => !now && open !== null),
      join: () => void join(),
      lookUp,
      apart: setApart,
      companion: fold,
      apartWindow: showApart,
      undo: () => card.current?.undo(),
      takeBack: () => undoHistory.takeBack(),
      doAgain: undoHistory.doAgain,
      whatWasDone: showDone,
      redo: () => card.current?.redo(),
    }),
    [
      card,
      close,
      undoHistory,
      fold,
      join,
      lookUp,
      nextMarked,
      nextUnfinished,
      open,
      openBeside,
      scroll,
      setApart,
      setCutting,
      showApart,
      showDone,
      showEntry,
      showPast,
      store,
      writeNote,
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

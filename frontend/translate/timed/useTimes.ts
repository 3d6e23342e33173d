// The times of a cue changed; the text then comes anew from the server.
import { App } from 'antd'
import { useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { useTranslation } from 'react-i18next'
import { keys } from '../../shared/queryKeys'
import { useAct } from '../../shared/useAct'
import { refreshText } from '../queries'
import type { Store } from '../store'
import { changeTimes, type Times } from './queries'

// document: that holds the cues.
export function useTimes(store: Store, document: number | undefined) {
  const { t } = useTranslation()
  const { act } = useAct()
  const { message } = App.useApp()
  const cache = useQueryClient()
  return useCallback(
    (segment: number, times: Times) =>
      void act(async () => {
        await store.outbox.emptied()
        const { operation } = await changeTimes(segment, times)
        const cue = store.byId.get(segment)
        if (cue) store.undoHistory.noteRecut(cue, operation)
        await Promise.all([
          refreshText(cache, store.project),
          cache.invalidateQueries({ queryKey: keys.cues(document ?? 0) }),
        ])
        void message.info(t('timed.changed'))
      }),
    [act, cache, document, message, store, t],
  )
}

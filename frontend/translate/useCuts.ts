// The open segment split or joined by hand; the text then comes anew from the server.
import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { api } from '../shared/api'
import type { Act } from '../shared/useAct'
import { useOffer } from '../shared/useOffer'
import { refreshText } from './queries'
import type { Store } from './store'

interface Answer {
  open: number | null
  // By which it is undone.
  operation: number
  // What stood before a border that was joined away: an abbreviation, perhaps.
  after?: string
}

export function useCuts(
  project: number,
  store: Store,
  open: number | null,
  act: Act,
  say: (text: string) => void,
) {
  const { t } = useTranslation()
  const go = useNavigate()
  const cache = useQueryClient()
  const offer = useOffer('never')
  const [cutting, setCutting] = useState(false)

  const recut = useCallback(
    async (work: () => Promise<Answer>) => {
      setCutting(false)
      return act(async () => {
        // What is typed is there before.
        await store.outbox.emptied()
        const answer = await work()
        const segment = store.byId.get(open ?? 0)
        if (segment) store.undoHistory.noteRecut(segment, answer.operation)
        await refreshText(cache, project)
        if (answer.open) void go(`#${answer.open}`, { replace: true })
        return answer
      })
    },
    [act, cache, go, open, project, store],
  )
  const split = useCallback(
    (at: number) => {
      if (open !== null) void recut(() => api.post(`/segments/${open}/cut`, { at }))
    },
    [open, recut],
  )
  const never = useCallback(
    (text: string) =>
      void act(async () => {
        await api.post(`/projects/${project}/exceptions`, { text })
        say(t('cut.neverKept', { text }))
      }),
    [act, project, say, t],
  )
  const join = useCallback(async () => {
    if (open === null) return
    const answer = await recut(() => api.delete(`/segments/${open}/cut`))
    const text = answer?.after
    if (text) offer(t('cut.joined'), t('cut.never', { text }), () => never(text))
  }, [never, offer, open, recut, t])
  return { cutting, setCutting, split, join }
}

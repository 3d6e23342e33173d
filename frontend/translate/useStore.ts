// The store of the open project: made from what the server lists and what this browser still holds, told of
// what changes elsewhere, and what it says to its user.
import { useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { useCallback, useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { useProjectNews } from '../shared/live'
import { outboxOf, TAB } from '../shared/outbox'
import { keys } from '../shared/queryKeys'
import { useSettings } from '../shared/settings'
import type { Segment } from '../shared/types'
import { useOffer } from '../shared/useOffer'
import { UndoHistory } from './undoHistory'
import { Store } from './store'

export function useStore(project: number, segments: Segment[]): Store | null {
  const { user } = useSettings()
  const cache = useQueryClient()
  const repeated = useRepeats()
  const say = useSayings()
  const [store, setStore] = useState<Store | null>(null)
  // They outlive the store, which is made anew when the text is cut anew.
  const [kept] = useState(() => new Map<number, UndoHistory>())
  useEffect(() => {
    const outbox = outboxOf(user.id)
    let made: Store | null = null
    let gone = false
    const undoHistory = kept.get(project) ?? new UndoHistory()
    kept.set(project, undoHistory)
    void outbox.ready.then(() => {
      if (gone) return
      made = new Store(
        project,
        segments.map((segment) => ({ ...segment })),
        outbox,
        {
          repeated: (id, filled, others) => repeated(made!, id, filled, others),
          troubled: (entry) => say.troubled(entry.number, entry.trouble?.message ?? ''),
          changedElsewhere: (segment) => say.changed(segment.position),
          // What was fetched ahead was found before the memories learned this.
          learned: () => void cache.invalidateQueries({ queryKey: keys.allProposals }),
        },
        undoHistory,
      )
      setStore(made)
    })
    return () => {
      gone = true
      made?.dispose()
    }
  }, [cache, kept, project, repeated, say, segments, user.id])
  useProjectNews(project, (news) => {
    if (news.event !== 'segments' || !news.segments) return
    store?.take(news.segments, news.tab === TAB ? 'page' : 'others')
    // Somebody else's confirmation may have taught a memory too.
    void cache.invalidateQueries({ queryKey: keys.allProposals, refetchType: 'none' })
  })
  return store
}

function useSayings() {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const [sayings] = useState(() => ({
    troubled: (number: number, text: string) =>
      void message.warning(t('translate.refused', { number, message: text }), 8),
    changed: (number: number) => void message.info(t('translate.changedElsewhere', { number }), 6),
  }))
  return sayings
}

// After a confirmation: which repeats took it, or may follow, with a way back.
function useRepeats() {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const offer = useOffer('repeats')
  return useCallback(
    (store: Store, id: number, filled: number, others: number) => {
      const take = async (method: 'post' | 'delete') => {
        try {
          const answer = await api[method]<{ segments: Segment[] }>(`/segments/${id}/repeats`)
          store.take(answer.segments)
          return answer.segments.length
        } catch (error) {
          void message.error((error as Error).message)
          return 0
        }
      }
      const back = () => void take('delete')
      const follow = async () => {
        const count = await take('post')
        if (count) offer(t('translate.followed', { count }), t('translate.undo'), back)
      }
      if (others) offer(t('translate.others', { count: others }), t('translate.follow'), () => void follow())
      else offer(t('translate.filledUndo', { count: filled }), t('translate.undo'), back)
    },
    [message, offer, t],
  )
}

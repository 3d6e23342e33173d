// News of a project or a round of review from the server, through the cable.
import { createConsumer } from '@rails/actioncable'
import { useEffect, useRef } from 'react'
import type { Segment } from './types'

export const consumer = createConsumer('/cable')
export type News = {
  event: string
  id?: number
  state?: string
  done?: number
  total?: number
  message?: string
  tab?: string
  segments?: Segment[]
  ids?: number[]
}

// News of a pass inside, for those who may open it.
export function useReviewNews(id: number, heard: () => void) {
  useNews('ReviewChannel', id, heard)
}

export function useProjectNews(id: number | null, heard: (news: News) => void) {
  useNews('ProjectChannel', id, heard)
}

function useNews(name: string, id: number | null, heard: (news: News) => void) {
  const latest = useRef(heard)
  useEffect(() => {
    latest.current = heard
  })
  useEffect(() => {
    if (!id) return
    const channel = consumer.subscriptions.create(
      { channel: name, id },
      {
        received: (news: News) => latest.current(news),
        connected: () => latest.current({ event: 'connected' }),
      },
    )
    return () => {
      channel.unsubscribe()
    }
  }, [name, id])
}

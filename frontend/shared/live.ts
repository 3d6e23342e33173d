// News of a project from the server, through the cable.
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
}

export function useProjectNews(id: number | null, heard: (news: News) => void) {
  const latest = useRef(heard)
  useEffect(() => {
    latest.current = heard
  })
  useEffect(() => {
    if (!id) return
    const channel = consumer.subscriptions.create(
      { channel: 'ProjectChannel', id },
      {
        received: (news: News) => latest.current(news),
        connected: () => latest.current({ event: 'connected' }),
      },
    )
    return () => {
      channel.unsubscribe()
    }
  }, [id])
}

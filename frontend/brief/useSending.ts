// Files on their way into a brief, and how much of them has gone.
import { useState } from 'react'
import { sendFiles } from './dropping'
import type { Attempt } from './useChanges'

export interface SendingState {
  share: number | null
  count: number
}

export function useSending(project: number, attempt: Attempt) {
  const [sending, setSending] = useState<SendingState>({ share: null, count: 0 })
  const drop = (files: File[]) =>
    attempt(async () => {
      try {
        setSending({ share: 0, count: files.length })
        await sendFiles(project, files, (share) => setSending({ share, count: files.length }))
      } finally {
        setSending({ share: null, count: 0 })
      }
    })
  return { sending, drop }
}

// What failed in the background says so as soon as it is over.
import { App } from 'antd'
import { useCallback, useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import type { MemoryChange } from '../shared/types'
import { changeText } from './changeText'
import { changesOf } from './queries'

const SECONDS = 12

// busy: what is under way on a memory; looked: when that was asked.
export function useOutcomes(memory: number, busy: MemoryChange[] | undefined, looked: number) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const watched = useRef<number[]>([])
  useEffect(() => {
    if (!busy) return
    const over = watched.current.filter((id) => !busy.some((change) => change.id === id))
    watched.current = busy.map((change) => change.id)
    if (!over.length) return
    const tell = async () => {
      const changes = await changesOf(memory).catch(() => [])
      const failed = changes.filter((change) => over.includes(change.id) && change.state === 'failed')
      failed.forEach((change) => void message.error(changeText(change, t), SECONDS))
    }
    void tell()
  }, [busy, looked, memory, message, t])
  // What was begun just now, before it is listed.
  const watch = useCallback((change: MemoryChange) => void watched.current.push(change.id), [])
  return { watch }
}

// One way to do something that may take a while and may fail: whether it is under way, and what is said when
// it fails.
import { App } from 'antd'
import { useCallback, useEffect, useRef, useState } from 'react'
import { OperationCancelled } from '../operations/follow'

export type Act = <T>(work: () => Promise<T>) => Promise<T | undefined>

const SECONDS = 6

export function useAct() {
  const { message } = App.useApp()
  const latest = useRef(message)
  useEffect(() => {
    latest.current = message
  })
  const [underWay, setUnderWay] = useState(0)
  // Answers what the work answered, or undefined where it failed.
  const act = useCallback<Act>(async (work) => {
    setUnderWay((count) => count + 1)
    try {
      return await work()
    } catch (error) {
      // Whoever cancelled it knows.
      if (error instanceof OperationCancelled) return undefined
      void latest.current.error((error as Error).message, SECONDS)
      return undefined
    } finally {
      setUnderWay((count) => count - 1)
    }
  }, [])
  return { act, busy: underWay > 0 }
}

// Something done to a memory; what is shown of it is asked for anew afterwards.
import { useCallback, useEffect, useRef } from 'react'
import { useAct } from '../shared/useAct'

export type Attempt = (work: () => Promise<unknown>) => void

export function useAttempt(after: () => unknown): Attempt {
  const { act } = useAct()
  const latest = useRef(after)
  useEffect(() => {
    latest.current = after
  })
  return useCallback(
    (work) =>
      void act(async () => {
        await work()
        await latest.current()
      }),
    [act],
  )
}

// Changes to a brief, one after the other in the order they were made, so that what is shown is what is kept;
// whatever builds on them waits for them.
import { App } from 'antd'
import { useCallback, useRef, useState } from 'react'

const SECONDS = 6

export type Attempt = (work: () => Promise<unknown>) => void

export function useChanges(after: () => Promise<unknown>) {
  const { message } = App.useApp()
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const [underWay, setUnderWay] = useState(0)
  const attempt = useCallback<Attempt>(
    (work) => {
      setUnderWay((count) => count + 1)
      const run = async () => {
        try {
          await work()
          await after()
        } catch (error) {
          void message.error((error as Error).message, SECONDS)
        } finally {
          setUnderWay((count) => count - 1)
        }
      }
      line.current = line.current.then(run)
    },
    [after, message],
  )
  const settled = useCallback(() => line.current, [])
  return { attempt, settled, busy: underWay > 0 }
}

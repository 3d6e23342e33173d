// Changes to a brief, one after the other in the order they were made, so that what is shown is what is kept;
// whatever builds on them waits for them.
import { App } from 'antd'
import { useCallback, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'

export type Attempt = (work: () => Promise<unknown>) => void

export function useChanges(after: () => Promise<unknown>) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const [under, setUnder] = useState(0)
  const attempt = useCallback<Attempt>(
    (work) => {
      setUnder((count) => count + 1)
      const run = async () => {
        try {
          await work()
          await after()
        } catch (error) {
          const text = (error as Error).message
          void message.error(text === 'offline' ? t('app.offline') : text, 6)
        } finally {
          setUnder((count) => count - 1)
        }
      }
      line.current = line.current.then(run)
    },
    [after, message, t],
  )
  const settled = useCallback(() => line.current, [])
  return { attempt, settled, busy: under > 0 }
}

// Changes of a brief, sent one after the other in their order, so that the display equals the stored state;
// what builds on them waits for them. A choice shows at once, before the server has it.
import { App } from 'antd'
import { useCallback, useRef, useState } from 'react'

const SECONDS = 6

export type Attempt = (work: () => Promise<unknown>) => void

type Fields = Record<string, unknown>

// Lists are answered in another shape than they are sent in.
const plain = (fields: Fields): Fields =>
  Object.fromEntries(
    Object.entries(fields).filter(([, value]) => typeof value !== 'object' || value === null),
  )

export function useChanges(after: () => Promise<unknown>) {
  const { message } = App.useApp()
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const [underWay, setUnderWay] = useState(0)
  const [onTheirWay, setOnTheirWay] = useState<Fields[]>([])
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
  const set = useCallback(
    (fields: Fields, send: (fields: Fields) => Promise<unknown>) => {
      const shown = plain(fields)
      setOnTheirWay((all) => [...all, shown])
      attempt(() => send(fields))
      void line.current.then(() => setOnTheirWay((all) => all.filter((one) => one !== shown)))
    },
    [attempt],
  )
  const settled = useCallback(() => line.current, [])
  return { attempt, set, settled, busy: underWay > 0, onTheirWay: Object.assign({}, ...onTheirWay) as Fields }
}

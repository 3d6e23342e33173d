// A word on what was done, with one thing that can be done about it; it goes by itself.
import { App } from 'antd'
import { useCallback } from 'react'

const SECONDS = 12

// key: what is offered under the same key takes the place of what was offered before.
export function useOffer(key: string) {
  const { message } = App.useApp()
  return useCallback(
    (text: string, action: string, run: () => void) => {
      const act = () => {
        message.destroy(key)
        run()
      }
      void message.open({
        key,
        type: 'info',
        icon: <span />,
        duration: SECONDS,
        content: (
          <>
            {text}{' '}
            <button type="button" className="link" onClick={act}>
              {action}
            </button>
          </>
        ),
      })
    },
    [key, message],
  )
}

// What stands under the text: a hint of the first time, what could not be sent yet, a word on what happened.
import { memo, type ReactNode } from 'react'
import type { Act } from '../shared/useAct'
import { Hint } from './Hint'
import type { Store } from './store'
import { Unsent } from './Unsent'

interface Props {
  store: Store
  open: number | null
  act: Act
  said: string
  goTo: (segment: number) => void
  children: ReactNode
}

export const UnderText = memo(function UnderText({ store, open, act, said, goTo, children }: Props) {
  return (
    <>
      {children}
      <Hint act={act} />
      <Unsent outbox={store.outbox} open={open} onGo={goTo} />
      {said && (
        <div className="said" role="status">
          {said}
        </div>
      )}
    </>
  )
})

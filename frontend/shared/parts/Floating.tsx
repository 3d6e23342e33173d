// What a button opens beside it: the arrows walk it, Escape closes it, focus goes in and comes back.
import { Popover } from 'antd'
import type { KeyboardEvent, ReactNode, RefObject } from 'react'

interface Props {
  label: string
  open: boolean
  setOpen: (open: boolean) => void
  inside: RefObject<HTMLDivElement | null>
  placement?: 'bottomLeft' | 'bottomRight'
  content: ReactNode
  children: ReactNode
}

// Up and down from one place to the next, where they mean nothing to the place itself.
function walk(event: KeyboardEvent<HTMLDivElement>) {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (!step || !(event.target as HTMLElement).matches('button, a')) return
  const entries = [...event.currentTarget.querySelectorAll<HTMLElement>('button, a')]
  const at = entries.indexOf(event.target as HTMLElement)
  event.preventDefault()
  entries[(at + step + entries.length) % entries.length]?.focus()
}

export function Floating({ label, open, setOpen, inside, placement, content, children }: Props) {
  return (
    <Popover
      trigger="click"
      placement={placement}
      arrow={false}
      open={open}
      onOpenChange={setOpen}
      destroyOnHidden
      content={
        <div
          ref={inside}
          role="dialog"
          aria-label={label}
          onKeyDown={(event) => {
            walk(event)
            if (event.key !== 'Escape') return
            event.stopPropagation()
            setOpen(false)
          }}
        >
          {content}
        </div>
      }
    >
      {children}
    </Popover>
  )
}

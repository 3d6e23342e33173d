// A few choices behind a text: a small menu of buttons, which the palette offers too.
import { useEffect, type ReactNode } from 'react'
import { commands } from '../commands'
import { useOpened } from '../focus'
import type { Option } from './ChoiceInPlace'
import { Floating } from './Floating'

interface Props {
  label: string
  title: string
  options: Option[]
  value: string
  onChange: (value: string) => void
  extra?: ReactNode
  disabled?: boolean
}

export function MenuInPlace({ label, title, options, value, onChange, extra, disabled }: Props) {
  const { open, setOpen, opener, inside } = useOpened()
  useEffect(() => {
    if (disabled) return
    const others = options.filter((option) => option.value !== value)
    return commands.offerNamed(
      others.map((option) => ({
        name: `${title}: ${option.label}`,
        run: () => onChange(option.value),
      })),
    )
  })
  return (
    <Floating
      label={title}
      placement="bottomRight"
      open={open && !disabled}
      {...{ setOpen, inside }}
      content={
        <div className="menu-in-place">
          {options.map((option) => (
            <button
              type="button"
              key={option.value}
              aria-pressed={option.value === value}
              onClick={() => {
                setOpen(false)
                onChange(option.value)
              }}
            >
              {option.label}
            </button>
          ))}
          {extra && <div className="more">{extra}</div>}
        </div>
      }
    >
      <button
        ref={opener}
        type="button"
        className="in-place"
        aria-label={`${title}: ${label}`}
        aria-haspopup="dialog"
        aria-expanded={open}
        disabled={disabled}
      >
        {label}
      </button>
    </Floating>
  )
}

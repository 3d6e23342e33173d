// A value that looks like text and is edited where it stands.
import { Input } from 'antd'
import { useState } from 'react'
import { useInPlace } from '../focus'

interface Props {
  value: string
  blank: string
  label: string
  onChange: (value: string) => void
  className?: string
}

export function TextInPlace({ value, blank, label, onChange, className = '' }: Props) {
  const { editing, setEditing, button } = useInPlace()
  const [draft, setDraft] = useState('')
  if (!editing)
    return (
      <button
        ref={button}
        type="button"
        className={`in-place ${value ? '' : 'blank'} ${className}`}
        aria-label={`${label}: ${value || blank}`}
        onClick={() => {
          setDraft(value)
          setEditing(true)
        }}
      >
        {value || blank}
      </button>
    )
  const close = (keep: boolean) => {
    if (keep && draft.trim() !== value) onChange(draft.trim())
    setEditing(false)
  }
  return (
    <Input
      autoFocus
      size="small"
      aria-label={label}
      value={draft}
      onChange={(event) => setDraft(event.target.value)}
      onBlur={() => close(true)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== 'Escape') return
        // The key ends here: the button that takes focus again must not feel it.
        event.preventDefault()
        event.stopPropagation()
        close(event.key === 'Enter')
      }}
    />
  )
}

// A text of several lines, kept when the field is left.
import { Input } from 'antd'
import { useState } from 'react'
import { useInPlace } from '../focus'

interface Props {
  label: string
  blank: string
  value: string
  onChange: (value: string) => void
}

export function LongInPlace({ label, blank, value, onChange }: Props) {
  const { editing, setEditing, button } = useInPlace()
  const [draft, setDraft] = useState('')
  if (!editing)
    return (
      <button
        ref={button}
        type="button"
        className={`in-place long ${value ? '' : 'blank'}`}
        aria-label={`${label}: ${value || blank}`}
        onClick={() => {
          setDraft(value)
          setEditing(true)
        }}
      >
        {value || blank}
      </button>
    )
  return (
    <Input.TextArea
      autoFocus
      autoSize={{ minRows: 2, maxRows: 12 }}
      aria-label={label}
      value={draft}
      onChange={(event) => setDraft(event.target.value)}
      onBlur={() => {
        if (draft.trim() !== value) onChange(draft.trim())
        setEditing(false)
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return
        event.preventDefault()
        event.stopPropagation()
        setEditing(false)
      }}
    />
  )
}

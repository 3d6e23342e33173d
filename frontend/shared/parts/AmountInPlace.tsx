// A value that is looked at before it is taken: what is wrong with it is said at the field, which stays open.
import { Input } from 'antd'
import { useId, useState } from 'react'
import { useInPlace } from '../focus'

interface Props {
  label: string
  shown: string
  value: string
  // Answers what is wrong with it, if anything.
  onChange: (value: string) => string | undefined
  width?: number
}

export function AmountInPlace({ label, shown, value, onChange, width = 84 }: Props) {
  const { editing, setEditing, button } = useInPlace()
  const [draft, setDraft] = useState('')
  const [wrong, setWrong] = useState<string>()
  const id = useId()
  if (!editing)
    return (
      <button
        ref={button}
        type="button"
        className="in-place tab"
        aria-label={`${label}: ${shown}`}
        onClick={() => {
          setDraft(value)
          setWrong(undefined)
          setEditing(true)
        }}
      >
        {shown}
      </button>
    )
  const take = (leave: boolean) => {
    const fault = draft.trim() === value ? undefined : onChange(draft.trim())
    setWrong(fault)
    if (!fault || leave) setEditing(false)
  }
  return (
    <span className="amount-field">
      <Input
        autoFocus
        size="small"
        style={{ width }}
        aria-label={label}
        aria-invalid={!!wrong}
        aria-describedby={wrong && id}
        status={wrong ? 'error' : undefined}
        value={draft}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => take(!!wrong)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== 'Escape') return
          event.preventDefault()
          event.stopPropagation()
          if (event.key === 'Enter') take(false)
          else setEditing(false)
        }}
      />
      {wrong && (
        <span className="fault small alarm" role="alert" id={id}>
          {wrong}
        </span>
      )}
    </span>
  )
}

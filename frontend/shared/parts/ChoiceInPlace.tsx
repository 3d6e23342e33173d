// A choice that looks like text; opens a list that is searched by typing, and may take what is not in it yet.
import { Select } from 'antd'
import { useState } from 'react'
import { useInPlace } from '../focus'
import { useSettled } from './useSettled'

export interface Option {
  value: string
  label: string
  search?: string
}

interface Props {
  value: string | null
  options: Option[]
  blank: string
  label: string
  onChange: (value: string) => void
  onAdd?: (name: string) => void
  addLabel?: (name: string) => string
}

const ADD = '\u0000add'

export function ChoiceInPlace({ value, options, blank, label, onChange, onAdd, addLabel }: Props) {
  const { editing, setEditing, button } = useInPlace()
  const [typed, setTyped] = useState('')
  const current = options.find((option) => option.value === value)
  if (!editing)
    return (
      <button
        ref={button}
        type="button"
        className={`in-place ${current || value ? '' : 'blank'}`}
        aria-label={`${label}: ${current?.label ?? value ?? blank}`}
        onClick={() => setEditing(true)}
      >
        {current?.label ?? value ?? blank}
      </button>
    )
  const close = () => {
    setEditing(false)
    setTyped('')
  }
  const name = typed.trim()
  const known = options.some((option) => option.label.toLowerCase() === name.toLowerCase())
  const adding = { value: ADD, label: addLabel?.(name) ?? name, search: typed.toLowerCase() }
  return (
    <Chooser
      {...{ value, blank, label, close, setTyped }}
      list={onAdd && name && !known ? [...options, adding] : options}
      onChoose={(chosen) => {
        close()
        if (chosen === ADD) onAdd?.(name)
        else if (chosen) onChange(chosen)
      }}
    />
  )
}

const searched = (option?: Option) => option?.search ?? String(option?.label ?? '').toLowerCase()

interface ChooserProps {
  value: string | null
  list: Option[]
  blank: string
  label: string
  close: () => void
  setTyped: (text: string) => void
  onChoose: (value: string | null) => void
}

function Chooser({ value, list, blank, label, close, setTyped, onChoose }: ChooserProps) {
  const settled = useSettled()
  return (
    <Select
      autoFocus
      open={settled}
      size="small"
      style={{ width: '100%' }}
      aria-label={label}
      value={value}
      placeholder={blank}
      options={list}
      onBlur={close}
      showSearch={{
        filterOption: (input, option) => searched(option as Option | undefined).includes(input.toLowerCase()),
        onSearch: setTyped,
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          event.stopPropagation()
          close()
        }
      }}
      onChange={onChoose}
      onOpenChange={(shownNow) => {
        if (!shownNow && settled) close()
      }}
    />
  )
}

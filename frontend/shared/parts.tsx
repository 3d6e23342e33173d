// Small pieces that several views draw with.
import { Input, Popover, Select } from 'antd'
import { useEffect, useState, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { number } from './i18n'
import { shown } from './keys'
import type { Bands, State } from './types'

// A state as a moon with its word for screen readers: how much is dark is how far it is.
export function Moon({ state }: { state: State }) {
  const { t } = useTranslation()
  const path = {
    untouched: '',
    draft: 'M6 6V1a5 5 0 0 1 5 5z',
    translated: 'M6 1a5 5 0 0 1 0 10z',
    reviewed: 'M6 1a5 5 0 1 1-5 5h5z',
    final: 'M6 1a5 5 0 1 0 0 10 5 5 0 0 0 0-10z',
  }[state]
  return (
    <svg className="moon" viewBox="0 0 12 12" role="img" aria-label={t(`states.${state}`)}>
      <title>{t(`states.${state}`)}</title>
      <circle cx="6" cy="6" r="5" fill="none" stroke="var(--ink4)" strokeWidth="1.2" />
      <path d={path} fill="var(--ink4)" />
    </svg>
  )
}

const STATE_INKS: [string, State[], string][] = [
  ['final', ['final', 'reviewed'], 'var(--ink5)'],
  ['translated', ['translated'], 'var(--ink4)'],
  ['draft', ['draft'], 'var(--ink2)'],
]

export function StateBar({ words }: { words: Partial<Record<State, number>> }) {
  const { t } = useTranslation()
  const total = Object.values(words).reduce((sum, one) => sum + (one ?? 0), 0) || 1
  const parts = STATE_INKS.map(([name, states, ink]) => ({
    name,
    ink,
    amount: states.reduce((sum, state) => sum + (words[state] ?? 0), 0),
  })).filter((part) => part.amount)
  const label = parts
    .map((part) => `${number(part.amount)} ${t(`states.${part.name}`)}`)
    .concat(`${number(words.untouched ?? 0)} ${t('states.untouched')}`)
    .join(', ')
  return (
    <div className="bar" role="img" aria-label={label}>
      {parts.map((part) => (
        <span key={part.name} style={{ width: `${(100 * part.amount) / total}%`, background: part.ink }} />
      ))}
    </div>
  )
}

// The bands of a count in five groups, dark is known.
export function bandGroups(tables: (Bands | null)[]) {
  const sum = (...names: string[]) =>
    tables.reduce(
      (all, bands) => all + names.reduce((some, name) => some + (bands?.[name]?.words ?? 0), 0),
      0,
    )
  return [
    { name: 'known', ink: 'var(--ink5)', words: sum('context', 'exact') },
    { name: 'repetition', ink: 'var(--ink4)', words: sum('repetition') },
    { name: '85', ink: 'var(--ink3)', words: sum('95-99', '85-94') },
    { name: '50', ink: 'var(--ink2)', words: sum('75-84', '50-74') },
    { name: 'new', ink: 'var(--ink1)', words: sum('new') },
  ]
}

export function BandBar({ bands, thick }: { bands: (Bands | null)[]; thick?: boolean }) {
  const { t } = useTranslation()
  const groups = bandGroups(bands)
  const total = groups.reduce((sum, group) => sum + group.words, 0) || 1
  const label = groups.map((group) => `${t(`bands.${group.name}`)} ${number(group.words)}`).join(', ')
  return (
    <div className={`bar${thick ? ' thick' : ''}`} role="img" aria-label={label}>
      {groups
        .filter((group) => group.words && group.name !== 'new')
        .map((group) => (
          <span
            key={group.name}
            style={{ width: `${(100 * group.words) / total}%`, background: group.ink }}
          />
        ))}
    </div>
  )
}

export const Key = ({ keys }: { keys: string }) => <kbd>{shown(keys)}</kbd>

// A value that looks like text and is edited where it stands.
export function TextInPlace({
  value,
  blank,
  label,
  onChange,
  className = '',
}: {
  value: string
  blank: string
  label: string
  onChange: (value: string) => void
  className?: string
}) {
  const [draft, setDraft] = useState<string | null>(null)
  if (draft === null)
    return (
      <button
        type="button"
        className={`in-place ${value ? '' : 'blank'} ${className}`}
        aria-label={`${label}: ${value || blank}`}
        onClick={() => setDraft(value)}
      >
        {value || blank}
      </button>
    )
  const close = (keep: boolean) => {
    if (keep && draft.trim() !== value) onChange(draft.trim())
    setDraft(null)
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
        if (event.key === 'Enter') close(true)
        if (event.key === 'Escape') {
          event.stopPropagation()
          close(false)
        }
      }}
    />
  )
}

// False at first and true in the next frame: what floats finds its place only once what it hangs on stands.
export function useSettled(): boolean {
  const [settled, setSettled] = useState(false)
  useEffect(() => {
    const frame = requestAnimationFrame(() => setSettled(true))
    return () => cancelAnimationFrame(frame)
  }, [])
  return settled
}

export interface Option {
  value: string
  label: string
  search?: string
}

// A choice that looks like text; opens a list that is searched by typing.
export function ChoiceInPlace({
  value,
  options,
  blank,
  label,
  onChange,
  onAdd,
  addLabel,
}: {
  value: string | null
  options: Option[]
  blank: string
  label: string
  onChange: (value: string) => void
  onAdd?: (name: string) => void
  addLabel?: (name: string) => string
}) {
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState('')
  const current = options.find((option) => option.value === value)
  if (!open)
    return (
      <button
        type="button"
        className={`in-place ${current || value ? '' : 'blank'}`}
        aria-label={`${label}: ${current?.label ?? value ?? blank}`}
        onClick={() => setOpen(true)}
      >
        {current?.label ?? value ?? blank}
      </button>
    )
  const close = () => {
    setOpen(false)
    setTyped('')
  }
  const list: Option[] =
    onAdd &&
    typed.trim() &&
    !options.some((option) => option.label.toLowerCase() === typed.trim().toLowerCase())
      ? [...options, { value: ADD, label: addLabel?.(typed.trim()) ?? typed, search: typed.toLowerCase() }]
      : options
  return (
    <Chooser
      {...{ value, list, blank, label, close, setTyped }}
      onChoose={(chosen) => {
        close()
        if (chosen === ADD) onAdd?.(typed.trim())
        else if (chosen) onChange(chosen)
      }}
    />
  )
}

const ADD = '\u0000add'

function Chooser({
  value,
  list,
  blank,
  label,
  close,
  setTyped,
  onChoose,
}: {
  value: string | null
  list: Option[]
  blank: string
  label: string
  close: () => void
  setTyped: (text: string) => void
  onChoose: (value: string | null) => void
}) {
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
        filterOption: (input, option) =>
          ((option as Option | undefined)?.search ?? String(option?.label ?? '').toLowerCase()).includes(
            input.toLowerCase(),
          ),
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

// A few choices behind a text: a small menu of buttons.
export function MenuInPlace({
  label,
  title,
  options,
  value,
  onChange,
  extra,
  disabled,
}: {
  label: string
  title: string
  options: Option[]
  value: string
  onChange: (value: string) => void
  extra?: ReactNode
  disabled?: boolean
}) {
  const [open, setOpen] = useState(false)
  return (
    <Popover
      trigger="click"
      placement="bottomRight"
      arrow={false}
      open={open && !disabled}
      onOpenChange={setOpen}
      content={
        <div style={{ display: 'grid', gap: 2, minWidth: 170 }}>
          {options.map((option) => (
            <button
              type="button"
              key={option.value}
              aria-pressed={option.value === value}
              style={{
                padding: '5px 8px',
                borderRadius: 4,
                background: option.value === value ? 'var(--accent-soft)' : undefined,
              }}
              onClick={() => {
                setOpen(false)
                onChange(option.value)
              }}
            >
              {option.label}
            </button>
          ))}
          {extra}
        </div>
      }
    >
      <button
        type="button"
        className="in-place"
        aria-label={`${title}: ${label}`}
        aria-haspopup="menu"
        disabled={disabled}
      >
        {label}
      </button>
    </Popover>
  )
}

// A place to drop files or choose them.
export function DropFiles({
  onFiles,
  slim,
  children,
}: {
  onFiles: (files: File[]) => void
  slim?: boolean
  children: ReactNode
}) {
  const [over, setOver] = useState(false)
  return (
    <label
      className={`drop${slim ? ' slim' : ''}${over ? ' over' : ''}`}
      style={{ cursor: 'pointer' }}
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault()
        event.stopPropagation()
        setOver(false)
        onFiles([...event.dataTransfer.files])
      }}
    >
      {children}
      <input
        type="file"
        multiple
        className="hidden-text"
        onChange={(event) => {
          const files = [...(event.target.files ?? [])]
          event.target.value = ''
          if (files.length) onFiles(files)
        }}
      />
    </label>
  )
}

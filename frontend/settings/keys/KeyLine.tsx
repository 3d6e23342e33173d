// One command with its key; a press on it waits for the key that is to take its place.
import { useState, type KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { KEYS, keyOf, type Command } from '../../shared/keys'
import { Key } from '../../shared/parts/Key'

interface Props {
  command: Command
  changed: boolean
  // null: ours again.
  onChange: (command: Command, key: string | null) => void
}

// What the editor does by itself keeps its keys.
const FIXED = new Set<Command>(['undo', 'redo'])

export function KeyLine({ command, changed, onChange }: Props) {
  const { t } = useTranslation()
  const [waiting, setWaiting] = useState(false)
  const name = t(`commands.${command}`)
  const press = (event: KeyboardEvent) => {
    if (!waiting || event.key === 'Tab') return
    event.preventDefault()
    event.stopPropagation()
    const key = keyOf(event)
    if (!key) return
    setWaiting(false)
    if (key !== 'Escape') onChange(command, key)
  }
  if (FIXED.has(command))
    return (
      <li className="key-line">
        <span>{name}</span>
        <Key keys={KEYS[command]} />
      </li>
    )
  return (
    <li className="key-line">
      <span>{name}</span>
      {changed && (
        <button type="button" className="link small" onClick={() => onChange(command, null)}>
          {t('keys.oursAgain')}
        </button>
      )}
      <button
        type="button"
        className="in-place"
        aria-label={t('keys.of', { name, key: KEYS[command] })}
        onClick={() => setWaiting(true)}
        onKeyDown={press}
        onBlur={() => setWaiting(false)}
      >
        {waiting ? t('keys.press') : <Key keys={KEYS[command]} />}
      </button>
    </li>
  )
}

// The command palette: commands, destinations, projects and other records and the guide, found by their names and
// by synonyms.
import { Input, Modal } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Key } from '../parts/Key'
import type { Project } from '../types'
import { usePaletteEntries, type Entry } from './usePaletteEntries'

interface Props {
  onClose: () => void
  onSheet: () => void
  project?: Project
}

export function Palette({ onClose, onSheet, project }: Props) {
  const { t } = useTranslation()
  const [typed, setTyped] = useState('')
  const [at, setAt] = useState(0)
  const found = usePaletteEntries(typed, project, onSheet)
  const chosen = Math.min(at, found.length - 1)
  const run = (entry?: Entry) => {
    if (!entry) return
    onClose()
    window.setTimeout(entry.run, 60)
  }
  return (
    <Modal
      open
      footer={null}
      closable={false}
      onCancel={onClose}
      width={560}
      style={{ top: 90 }}
      title={<span className="hidden-text">{t('palette.label')}</span>}
      destroyOnHidden
    >
      <Input
        autoFocus
        size="large"
        placeholder={t('palette.hint')}
        aria-label={t('palette.hint')}
        role="combobox"
        aria-expanded
        aria-controls="palette-list"
        aria-activedescendant={`palette-${chosen}`}
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value)
          setAt(0)
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') {
            event.preventDefault()
            setAt(Math.min(chosen + 1, found.length - 1))
          }
          if (event.key === 'ArrowUp') {
            event.preventDefault()
            setAt(Math.max(chosen - 1, 0))
          }
          if (event.key === 'Enter') {
            event.preventDefault()
            run(found[chosen])
          }
        }}
      />
      <ul className="palette-list" role="listbox" id="palette-list" aria-label={t('palette.label')}>
        {found.map((entry, index) => (
          <li
            key={`${entry.id ?? ''} ${entry.name}`}
            id={`palette-${index}`}
            role="option"
            aria-selected={index === chosen}
            onMouseEnter={() => setAt(index)}
            onClick={() => run(entry)}
          >
            <span>{entry.name}</span>
            {entry.keys && <Key keys={entry.keys} />}
          </li>
        ))}
        {!found.length && (
          <li aria-selected={false} role="option" className="quiet">
            {t('palette.nothing')}
          </li>
        )}
      </ul>
    </Modal>
  )
}

// The command palette: every command of the view, every project, by typing a part of its name.
import { useQuery } from '@tanstack/react-query'
import { Input, Modal } from 'antd'
import { useMemo, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { api } from './api'
import { commands } from './commands'
import { KEYS, type Command } from './keys'
import { Key } from './parts/Key'
import { keys } from './queryKeys'
import { stagesOf } from './Stages'
import { useAct } from './useAct'
import { briefFrom, useTemplates } from './useTemplates'
import { PLACES } from './YourMenu'
import type { Agenda, Project } from './types'

interface Entry {
  name: string
  keys?: string
  run: () => void
}

interface Props {
  onClose: () => void
  onSheet: () => void
  project?: Project
}

export function Palette({ onClose, onSheet, project }: Props) {
  const { t } = useTranslation()
  const go = useNavigate()
  const [typed, setTyped] = useState('')
  const [at, setAt] = useState(0)
  const agenda = useQuery({ queryKey: keys.today, queryFn: () => api.get<Agenda>('/today') })
  const templates = useTemplates()
  const { act } = useAct()
  const entries = useMemo<Entry[]>(
    () => [
      ...commands
        .list()
        .map(([name, run]): Entry => ({ name: t(`commands.${name}`), keys: KEYS[name as Command], run })),
      ...commands.named(),
      { name: t('commands.sheet'), keys: KEYS.sheet, run: onSheet },
      { name: t('app.today'), run: () => void go('/') },
      { name: t('clients.title'), run: () => void go('/clients') },
      { name: t('app.memories'), run: () => void go('/memories') },
      { name: t('app.termbases'), run: () => void go('/termbases') },
      { name: t('count.quick'), run: () => void go('/count') },
      ...PLACES.map(([title, address]) => ({ name: t(title), run: () => void go(address) })),
      ...(project ? stagesOf(project) : []).map((stage) => ({
        name: t(`stages.${stage}`),
        run: () => void go(`/projects/${project!.id}/${stage}`),
      })),
      ...(templates.data ?? []).map(({ id, name }) => ({
        name: t('template.newFrom', { name }),
        run: () => void act(async () => go(await briefFrom(id))),
      })),
      ...(agenda.data?.projects ?? []).map((row) => ({
        name: `${row.reference} · ${row.name}`,
        run: () => void go(`/projects/${row.id}/translate`),
      })),
    ],
    [act, agenda.data, go, onSheet, project, t, templates.data],
  )
  const found = entries.filter((entry) => entry.name.toLowerCase().includes(typed.toLowerCase()))
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
            key={entry.name}
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

// A new term where not both sides were marked: two fields, so that it can be done by keyboard alone.
import { Input } from 'antd'
import { useState, type KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { Key } from '../../shared/parts/Key'
import type { Project } from '../../shared/types'

export interface Halves {
  source: string
  target: string
}

interface Props {
  halves: Halves
  project: Project
  onAdd: (halves: Halves) => void
  onClose: () => void
}

export function NewTerm({ halves, project, onAdd, onClose }: Props) {
  const { t } = useTranslation()
  const [source, setSource] = useState(halves.source)
  const [target, setTarget] = useState(halves.target)
  const full = source.trim() && target.trim()
  const press = (event: KeyboardEvent) => {
    if (event.nativeEvent.isComposing || (event.key !== 'Enter' && event.key !== 'Escape')) return
    event.preventDefault()
    event.stopPropagation()
    if (event.key === 'Escape') onClose()
    else if (full) onAdd({ source, target })
  }
  return (
    <div className="new-term small" role="group" aria-label={t('terms.new')}>
      <Input
        autoFocus={!halves.source}
        size="small"
        lang={project.source_lang ?? undefined}
        aria-label={t('terms.newSource')}
        placeholder={t('terms.newSource')}
        value={source}
        onChange={(event) => setSource(event.target.value)}
        onKeyDown={press}
      />
      <Input
        autoFocus={!!halves.source}
        size="small"
        lang={project.target_lang ?? undefined}
        aria-label={t('terms.newTarget')}
        placeholder={t('terms.newTarget')}
        value={target}
        onChange={(event) => setTarget(event.target.value)}
        onKeyDown={press}
      />
      <button type="button" className="link" disabled={!full} onClick={() => onAdd({ source, target })}>
        {t('terms.addNew')} <Key keys="Enter" />
      </button>
      <button type="button" className="plain-link" onClick={onClose}>
        {t('terms.leaveNew')} <Key keys="Escape" />
      </button>
    </div>
  )
}

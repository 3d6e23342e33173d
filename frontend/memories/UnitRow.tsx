// A unit of a memory: read, chosen, edited in place, with what is known of it and its past.
import { Checkbox } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { fullDate } from '../shared/i18n'
import { direction } from '../shared/languages'
import type { Memory, TranslationUnit, Operation } from '../shared/types'
import { Written } from '../shared/Written'
import { UnitForm } from './UnitForm'
import { UnitPast } from './UnitPast'
import { may } from '../sharing/rights'

interface Props {
  unit: TranslationUnit
  memory: Memory
  // Of the same source as the unit above it.
  twin: boolean
  chosen: boolean
  onChoose: (on: boolean) => void
  onEdited: (operation: Operation | null) => void
}

export function UnitRow({ unit, memory, twin, chosen, onChoose, onEdited }: Props) {
  const { t } = useTranslation()
  const [editing, setEditing] = useState(false)
  return (
    <li className={`unit${chosen ? ' chosen' : ''}${twin ? ' twin' : ''}`}>
      {may(memory.right, 'edit') && (
        <Checkbox
          aria-label={t('memories.choose', { text: unit.source })}
          checked={chosen}
          onChange={(event) => onChoose(event.target.checked)}
        />
      )}
      <div className="unit-body">
        {editing ? (
          <UnitForm
            unit={unit}
            memory={memory}
            onLeave={() => setEditing(false)}
            onEdited={(operation) => {
              setEditing(false)
              onEdited(operation)
            }}
          />
        ) : (
          <UnitText {...{ unit, memory, twin }} onEdit={() => setEditing(true)} />
        )}
        <About unit={unit} />
      </div>
    </li>
  )
}

type TextProps = Pick<Props, 'unit' | 'memory' | 'twin'> & { onEdit: () => void }

function UnitText({ unit, memory, twin, onEdit }: TextProps) {
  const { t } = useTranslation()
  const { source_lang, target_lang } = memory
  return (
    <button
      type="button"
      className="unit-text"
      aria-label={t('memories.editUnit', { text: unit.source })}
      disabled={!may(memory.right, 'edit')}
      onClick={onEdit}
    >
      {!twin && (
        <span className="reading source" lang={source_lang} dir={direction(source_lang)}>
          <Written value={unit.source} codes={[]} />
        </span>
      )}
      <span className="reading" lang={target_lang} dir={direction(target_lang)}>
        <Written value={unit.target} codes={[]} changes={unit.twin} />
      </span>
    </button>
  )
}

function About({ unit }: { unit: TranslationUnit }) {
  const { t } = useTranslation()
  const [past, setPast] = useState(false)
  const { client, subject, project, file, origin, used } = unit
  const about = [
    [unit.changed_by || unit.author, fullDate(unit.updated_at)].filter(Boolean).join(', '),
    client,
    subject,
    project,
    file === project ? null : file,
    origin === 'typed' ? null : t(`memories.origins.${origin}`, { defaultValue: origin }),
    used ? t('memories.usedTimes', { count: used }) : null,
  ]
  return (
    <>
      <p className="small quiet">
        {about.filter(Boolean).join(' · ')} ·{' '}
        <button type="button" className="plain-link" aria-expanded={past} onClick={() => setPast(!past)}>
          {t('memories.unitPast')}
        </button>
      </p>
      {unit.notes.map((note, index) => (
        <p key={index} className="small quiet">
          {note}
        </p>
      ))}
      {past && <UnitPast id={unit.id} />}
    </>
  )
}

// An entry to read: its languages one below the other, what it means; a press on it makes it a form.
import { Checkbox } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { TermEntry } from '../shared/types'
import { Sections } from '../shared/parts/Sections'
import { EntryForm } from './EntryForm'
import { changeEntry } from './queries'

interface Props {
  entry: TermEntry
  chosen: boolean
  // Is the termbase shared with the user for reading only?
  reading: boolean
  attempt: (work: () => Promise<unknown>) => void
  onChoose: (on: boolean) => void
  onDelete: () => void
}

export function EntryRow({ entry, chosen, reading, attempt, onChoose, onDelete }: Props) {
  const { t } = useTranslation()
  const [editing, setEditing] = useState(false)
  const first = entry.sections[0]?.terms[0]?.text ?? ''
  const about = [entry.definition, entry.subject, entry.note].filter(Boolean)
  if (editing)
    return (
      <li>
        <EntryForm
          entry={entry}
          languages={[]}
          onLeave={() => setEditing(false)}
          onDelete={onDelete}
          onKeep={(fields) =>
            attempt(async () => {
              await changeEntry(entry.id, fields)
              setEditing(false)
            })
          }
        />
      </li>
    )
  return (
    <li className={chosen ? 'entry chosen' : 'entry'}>
      {!reading && (
        <Checkbox
          aria-label={t('termbases.choose', { term: first })}
          checked={chosen}
          onChange={(event) => onChoose(event.target.checked)}
        />
      )}
      <button
        type="button"
        className="entry-text"
        aria-label={t('termbases.editEntry', { term: first })}
        disabled={reading}
        onClick={() => setEditing(true)}
      >
        <Sections sections={entry.sections} />
        {about.length > 0 && <span className="small quiet entry-about">{about.join(' · ')}</span>}
      </button>
    </li>
  )
}

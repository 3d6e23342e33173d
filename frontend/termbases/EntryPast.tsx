// How an entry was before each change, and a way back to any of it.
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { fullDate, time } from '../shared/i18n'
import { Sections } from '../shared/parts/Sections'
import { pastOfEntry, type EntryFields } from './queries'

interface Props {
  entry: number
  onKeep: (fields: EntryFields) => void
}

export function EntryPast({ entry, onKeep }: Props) {
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  const versions = useQuery({ ...pastOfEntry(entry), enabled: open }).data
  return (
    <details className="entry-past small" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>{t('termbases.earlier')}</summary>
      {versions?.length === 0 && <p className="quiet">{t('termbases.neverChanged')}</p>}
      <ol>
        {(versions ?? []).map(({ id, author, at, sections, definition, subject, note }) => (
          <li key={id}>
            <p className="quiet">
              {t('termbases.until', { date: fullDate(at), time: time(at), author: author ?? '–' })}
            </p>
            <Sections sections={sections} />
            <button
              type="button"
              className="plain-link"
              onClick={() => onKeep({ definition, subject, note, sections })}
            >
              {t('termbases.backTo')}
            </button>
          </li>
        ))}
      </ol>
    </details>
  )
}

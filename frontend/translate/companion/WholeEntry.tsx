// An entry beside the text: the project's target language first, what it means, where it stands here; edited
// in place.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { longDate } from '../../shared/i18n'
import { direction, languageName } from '../../shared/languages'
import { TermWord } from '../../shared/parts/Sections'
import type { FoundTerm, Project, TermEntry, TermSection } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { EntryForm } from '../../termbases/EntryForm'
import { Picture } from '../../termbases/Picture'
import { changeEntry, useRefresh, type EntryFields } from '../../termbases/queries'
import '../../termbases/termbases.css'
import { TermPlaces, type Only } from './TermPlaces'

interface Props {
  project: Project
  onOnly: (only: Only) => void
  entry: TermEntry
  found: FoundTerm[]
}

export function WholeEntry({ entry, project, found, onOnly }: Props) {
  const { t } = useTranslation()
  const [editing, setEditing] = useState(false)
  const own = found.find((one) => one.entry_id === entry.id)
  const same = found.filter((one) => one.entry_id !== entry.id && one.term === own?.term)
  const readOnly = project.termbases.some((one) => one.termbase_id === entry.termbase_id && one.read_only)
  const about = [
    [t('terms.meaning'), entry.definition],
    [t('terms.note'), entry.note],
  ]
  if (editing) return <Editing entry={entry} onDone={() => setEditing(false)} />
  return (
    <>
      <p className="small quiet">
        {[own?.termbase, entry.subject].filter(Boolean).join(' · ')}
        {same.length > 0 &&
          ` · ${t('terms.alsoIn', { termbases: same.map((one) => one.termbase).join(', ') })}`}
      </p>
      <h2>{own?.term}</h2>
      <Picture entry={entry} fixed />
      <dl>
        {inOrder(entry.sections, project).map((section) => (
          <Language key={section.lang} section={section} />
        ))}
        {about.map(
          ([name, text]) =>
            text && (
              <div key={name}>
                <dt>{name}</dt>
                <dd>{text}</dd>
              </div>
            ),
        )}
      </dl>
      <p className="small quiet">
        {t('terms.changed', { date: longDate(entry.updated_at), by: entry.changed_by ?? '–' })}
      </p>
      <TermPlaces project={project.id} entry={entry.id} term={own?.term ?? ''} onOnly={onOnly} />
      <p className="presses small">
        {!readOnly && (
          <button type="button" className="link" onClick={() => setEditing(true)}>
            {t('terms.edit')}
          </button>
        )}
        <Link
          className="plain-link"
          to={`/termbases/${entry.termbase_id}?text=${encodeURIComponent(own?.term ?? '')}`}
        >
          {t('terms.inTermbase')}
        </Link>
      </p>
    </>
  )
}

// The same form as in its termbase, where it stands.
function Editing({ entry, onDone }: { entry: TermEntry; onDone: () => void }) {
  const { act } = useAct()
  const refresh = useRefresh(entry.termbase_id)
  const keep = (fields: EntryFields) =>
    void act(async () => {
      await changeEntry(entry.id, fields)
      await refresh()
      onDone()
    })
  return <EntryForm entry={entry} languages={[]} onKeep={keep} onLeave={onDone} />
}

function Language({ section }: { section: TermSection }) {
  return (
    <div>
      <dt>{languageName(section.lang)}</dt>
      <dd lang={section.lang} dir={direction(section.lang)}>
        {section.terms.map((term) => (
          <p key={term.text}>
            <TermWord term={term} />
          </p>
        ))}
      </dd>
    </div>
  )
}

// The target language first, then the source, then the others as they stand.
function inOrder(sections: TermSection[], project: Project) {
  const primary = (tag: string | null) => tag?.split('-')[0]
  const first = [project.target_lang, project.source_lang].map(primary)
  const rank = (section: TermSection) => {
    const at = first.indexOf(primary(section.lang))
    return at < 0 ? first.length : at
  }
  return sections.toSorted((one, other) => rank(one) - rank(other))
}

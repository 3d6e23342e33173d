// The whole entry of a term of the open segment: the project's target language first, then the others, what
// it means, where else it stands, and who said so.
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { longDate } from '../../shared/i18n'
import { direction, languageName } from '../../shared/languages'
import { TermWord } from '../../shared/parts/Sections'
import type { FoundTerm, Project, Segment, TermEntry, TermSection } from '../../shared/types'
import { termsQuery, useEntry } from '../queries'
import type { WantedEntry } from './Companion'

interface Props {
  project: Project
  open: Segment | null
  entry: WantedEntry
}

export function Terms({ project, open, entry }: Props) {
  const { t } = useTranslation()
  const found = useQuery({ ...termsQuery(open?.id ?? 0), enabled: open !== null }).data?.terms ?? []
  const [chosen, setChosen] = useState<{ id: number | null; turn: number; segment?: number }>(entry)
  // What was asked for by a key or a press in the card comes before what was chosen here.
  const wanted = chosen.turn === entry.turn && chosen.segment === open?.id ? chosen.id : entry.id
  const id = found.some((one) => one.entry_id === wanted) ? wanted : (found[0]?.entry_id ?? null)
  const whole = useEntry(id).data
  if (!found.length) return <p className="quiet">{t('terms.noTerms')}</p>
  const seen = found.filter(
    (one, index) => found.findIndex((other) => other.entry_id === one.entry_id) === index,
  )
  return (
    <div className="term-entry">
      <Others
        found={seen}
        chosen={id}
        onChoose={(next) => setChosen({ id: next, turn: entry.turn, segment: open?.id })}
      />
      {whole && <Whole entry={whole} project={project} found={found} />}
    </div>
  )
}

interface OthersProps {
  found: FoundTerm[]
  chosen: number | null
  onChoose: (entry: number) => void
}

function Others({ found, chosen, onChoose }: OthersProps) {
  return (
    <p className="small presses">
      {found.map((one) => (
        <button
          key={one.entry_id}
          type="button"
          className={one.entry_id === chosen ? 'chosen-term' : 'plain-link'}
          aria-pressed={one.entry_id === chosen}
          onClick={() => onChoose(one.entry_id)}
        >
          {one.term}
        </button>
      ))}
    </p>
  )
}

function Whole({ entry, project, found }: { entry: TermEntry; project: Project; found: FoundTerm[] }) {
  const { t } = useTranslation()
  const own = found.find((one) => one.entry_id === entry.id)
  const same = found.filter((one) => one.entry_id !== entry.id && one.term === own?.term)
  const about = [
    [t('terms.meaning'), entry.definition],
    [t('terms.note'), entry.note],
  ]
  return (
    <>
      <p className="small quiet">
        {[own?.termbase, entry.subject].filter(Boolean).join(' · ')}
        {same.length > 0 &&
          ` · ${t('terms.alsoIn', { termbases: same.map((one) => one.termbase).join(', ') })}`}
      </p>
      <h2>{own?.term}</h2>
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
      <Link
        className="link"
        to={`/termbases/${entry.termbase_id}?text=${encodeURIComponent(own?.term ?? '')}`}
      >
        {t('terms.edit')}
      </Link>
    </>
  )
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

// An entry as a form: a line for each term with its status and how it is recognised, synonyms and languages
// added, and more where it is wanted.
import { Button, Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { languageName, languageOptions } from '../shared/languages'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import type { Term, TermEntry, TermSection } from '../shared/types'
import { EntryPast } from './EntryPast'
import { useTrap } from './useTrap'
import type { EntryFields } from './queries'
import { Picture } from './Picture'
import { TermFields } from './TermFields'

interface Props {
  entry?: TermEntry
  // Of a new one: a line for each.
  languages: string[]
  onKeep: (fields: EntryFields) => void
  onLeave: () => void
  onDelete?: () => void
}

const blank = (): Term => ({ text: '' })

export function EntryForm({ entry, languages, onKeep, onLeave, onDelete }: Props) {
  const { t } = useTranslation()
  const [sections, setSections] = useState<TermSection[]>(
    entry?.sections ?? languages.map((lang) => ({ lang, terms: [blank()] })),
  )
  const [about, setAbout] = useState({
    definition: entry?.definition ?? null,
    subject: entry?.subject ?? null,
    note: entry?.note ?? null,
  })
  const [more, setMore] = useState(!!(about.definition || about.note || entry?.has_image))
  // The term that was added last takes the focus: [place of its language, its place].
  const [added, setAdded] = useState([0, 0])
  const put = (at: number, section: TermSection) => setSections(sections.with(at, section))
  const full = sections.some((section) => section.terms.some((term) => term.text.trim()))
  const keep = () => full && onKeep({ ...about, sections })
  return (
    <form
      className="entry-form"
      aria-label={t('termbases.entry')}
      onKeyDown={useTrap(onLeave, keep)}
      onSubmit={(event) => {
        event.preventDefault()
        keep()
      }}
    >
      {sections.map((section, at) => (
        <fieldset key={section.lang}>
          <legend className="small quiet">{languageName(section.lang)}</legend>
          {section.terms.map((term, index) => (
            <TermFields
              key={index}
              term={term}
              lang={section.lang}
              focus={at === added[0] && index === added[1]}
              more={more}
              onChange={(fields) =>
                put(at, { ...section, terms: section.terms.with(index, { ...term, ...fields }) })
              }
            />
          ))}
          <button
            type="button"
            className="small plain-link"
            onClick={() => {
              setAdded([at, section.terms.length])
              put(at, { ...section, terms: [...section.terms, blank()] })
            }}
          >
            {t('termbases.addSynonym')}
          </button>
        </fieldset>
      ))}
      {more && entry && <Picture entry={entry} />}
      {more && <About about={about} onChange={setAbout} />}
      {entry && <EntryPast entry={entry.id} onKeep={onKeep} />}
      <footer className="presses small">
        <ChoiceInPlace
          label={t('termbases.addLanguage')}
          blank={t('termbases.addLanguage')}
          value={null}
          options={languageOptions.filter((one) => !sections.some((section) => section.lang === one.value))}
          onChange={(lang) => {
            if (!lang) return
            setAdded([sections.length, 0])
            setSections([...sections, { lang, terms: [blank()] }])
          }}
        />
        {!more && (
          <button type="button" className="plain-link" onClick={() => setMore(true)}>
            {t('termbases.moreFields')}
          </button>
        )}
        {onDelete && (
          <button type="button" className="plain-link" onClick={onDelete}>
            {t('termbases.delete')}
          </button>
        )}
        <span className="spring" />
        <button type="button" className="plain-link" onClick={onLeave}>
          {t('termbases.leave')}
        </button>
        <Button type="primary" htmlType="submit" disabled={!full}>
          {t('termbases.keep')}
        </Button>
      </footer>
    </form>
  )
}

interface About {
  definition: string | null
  subject: string | null
  note: string | null
}
const ABOUT = ['definition', 'subject', 'note'] as const

function About({ about, onChange }: { about: About; onChange: (about: About) => void }) {
  const { t } = useTranslation()
  return (
    <div className="about-fields">
      {ABOUT.map((name) => (
        <label key={name} className="small">
          <span className="quiet">{t(`termbases.fields.${name}`)}</span>
          <Input.TextArea
            autoSize
            value={about[name] ?? ''}
            onChange={(event) => onChange({ ...about, [name]: event.target.value || null })}
          />
        </label>
      ))}
    </div>
  )
}

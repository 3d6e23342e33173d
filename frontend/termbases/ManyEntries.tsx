// What is done to the entries chosen, all at once: put away, a subject field, a status.
import { useTranslation } from 'react-i18next'
import { languageName } from '../shared/languages'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { TermbasePage } from '../shared/types'
import { editEntries } from './queries'
import { STATUSES } from './TermFields'

interface Props {
  termbase: TermbasePage
  ids: number[]
  attempt: (work: () => Promise<unknown>) => void
  onDelete: () => void
}

export function ManyEntries({ termbase, ids, attempt, onDelete }: Props) {
  const { t } = useTranslation()
  const edit = (fields: Record<string, string>) => attempt(() => editEntries(termbase.id, { ids, ...fields }))
  return (
    <span className="many-entries">
      <button type="button" className="plain-link" onClick={onDelete}>
        {t('termbases.deleteChosen', { count: ids.length })}
      </button>
      <TextInPlace
        label={t('termbases.subjectOfChosen')}
        blank={t('termbases.subjectOfChosen')}
        value=""
        onChange={(subject) => edit({ subject })}
      />
      {termbase.languages.slice(0, 3).map((lang) => (
        <MenuInPlace
          key={lang}
          title={t('termbases.statusOfChosen', { language: languageName(lang) })}
          label={t('termbases.statusOfChosen', { language: languageName(lang) })}
          value=""
          options={STATUSES.map((value) => ({ value, label: t(`terms.statuses.${value}`) }))}
          onChange={(status) => edit({ lang, status })}
        />
      ))}
    </span>
  )
}

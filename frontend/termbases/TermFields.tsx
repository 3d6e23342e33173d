// One term in a form: its text, its status, how it is recognised, its gender, a note.
import { Input } from 'antd'
import { useTranslation } from 'react-i18next'
import { direction, languageName } from '../shared/languages'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { Recognition, Term, TermStatus } from '../shared/types'

export const STATUSES = ['none', 'preferred', 'admitted', 'deprecated', 'superseded', 'forbidden'] as const
const MORE = ['part_of_speech', 'number', 'example', 'source'] as const
const RECOGNITIONS = ['alike', 'open', 'exact'] as const
const CASED = 'cased'

interface Props {
  term: Term
  lang: string
  focus: boolean
  // Fields that few fill in are there too.
  more: boolean
  onChange: (fields: Partial<Term>) => void
}

export function TermFields({ term, lang, focus, more, onChange }: Props) {
  const { t } = useTranslation()
  const status = term.forbidden ? 'forbidden' : (term.status ?? 'none')
  const recognise = term.recognise ?? 'alike'
  const setStatus = (value: string) =>
    onChange({
      forbidden: value === 'forbidden',
      status: value === 'none' || value === 'forbidden' ? null : (value as TermStatus),
    })
  return (
    <div className="term-fields">
      <Input
        autoFocus={focus}
        className="reading"
        lang={lang}
        dir={direction(lang)}
        aria-label={t('termbases.termIn', { language: languageName(lang) })}
        value={term.text}
        onChange={(event) => onChange({ text: event.target.value })}
      />
      <span className="small">
        <MenuInPlace
          title={t('termbases.status')}
          label={t(`terms.statuses.${status}`)}
          value={status}
          options={STATUSES.map((value) => ({ value, label: t(`terms.statuses.${value}`) }))}
          onChange={setStatus}
        />
      </span>
      <span className="small">
        <MenuInPlace
          title={t('termbases.recognised')}
          label={
            t(`terms.recognitions.${recognise}`) + (term.cased ? `, ${t('terms.recognitions.cased')}` : '')
          }
          value={recognise}
          options={[
            ...RECOGNITIONS.map((value) => ({ value, label: t(`terms.recognitions.${value}`) })),
            {
              value: CASED,
              label: t(term.cased ? 'terms.recognitions.uncased' : 'terms.recognitions.cased'),
            },
          ]}
          onChange={(value) =>
            onChange(value === CASED ? { cased: !term.cased } : { recognise: value as Recognition })
          }
        />
      </span>
      <span className="small">
        <TextInPlace
          label={t('termbases.fields.gender')}
          blank={t('termbases.fields.gender')}
          value={term.gender ?? ''}
          onChange={(gender) => onChange({ gender: gender || null })}
        />
      </span>
      <span className="small">
        <TextInPlace
          label={t('termbases.fields.note')}
          blank={t('termbases.fields.note')}
          value={term.note ?? ''}
          onChange={(note) => onChange({ note: note || null })}
        />
      </span>
      {more && (
        <span className="small more-of-term">
          {MORE.map((name) => (
            <TextInPlace
              key={name}
              label={t(`termbases.fields.${name}`)}
              blank={t(`termbases.fields.${name}`)}
              value={term[name] ?? ''}
              onChange={(text) => onChange({ [name]: text || null })}
            />
          ))}
        </span>
      )}
    </div>
  )
}

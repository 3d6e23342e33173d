// The head of a termbase: its name, what it holds, files in and out, what was done.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { api } from '../shared/api'
import { number } from '../shared/i18n'
import { languageName } from '../shared/languages'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { TermbasePage } from '../shared/types'
import { Keys } from '../remote/Keys'
import { Sharing } from '../sharing/Sharing'
import { BringTerms } from './BringTerms'
import { ExportLink } from '../operations/ExportLink'
import { termsPath } from './queries'
import { may } from '../sharing/rights'

const FORMS = ['tbx', 'csv', 'xlsx'] as const

interface Props {
  termbase: TermbasePage
  attempt: (work: () => Promise<unknown>) => void
  part: string
}
const PARTS = ['entries', 'candidates', 'done'] as const

export function TermbaseHead({ termbase, attempt, part }: Props) {
  const { t } = useTranslation()
  const about = [
    termbase.languages.map(languageName).join(' · '),
    t('termbases.entries', { count: termbase.entries, entries: number(termbase.entries) }),
    termbase.client && t('termbases.belongs', { client: termbase.client }),
  ]
  return (
    <header className="termbase-head">
      <h1>
        {termbase.right === 'own' ? (
          <TextInPlace
            label={t('termbases.name')}
            blank={t('termbases.name')}
            value={termbase.name}
            onChange={(name) => attempt(() => api.patch(`/termbases/${termbase.id}`, { name }))}
          />
        ) : (
          termbase.name
        )}
      </h1>
      <p className="quiet small">{about.filter(Boolean).join(' · ')}</p>
      <p className="small presses">
        {may(termbase.right, 'edit') && <BringTerms termbase={termbase} attempt={attempt} />}
        <span>
          {t('termbases.takeOut')}{' '}
          {FORMS.map((form) => (
            <ExportLink key={form} className="plain-link form" path={termsPath(termbase.id, form)}>
              {form.toUpperCase()}
            </ExportLink>
          ))}
        </span>
      </p>
      <Sharing kind="termbase" item={termbase} />
      {termbase.right === 'own' && <Keys kind="termbase" id={termbase.id} />}
      <nav className="parts" aria-label={t('termbases.parts.title')}>
        {PARTS.map((one) => (
          <Link
            key={one}
            to={`/termbases/${termbase.id}${one === 'entries' ? '' : `/${one}`}`}
            aria-current={one === part ? 'page' : undefined}
          >
            {t(`termbases.parts.${one}`)}
            {one === 'candidates' && termbase.candidates > 0 && (
              <span className="tab"> {number(termbase.candidates)}</span>
            )}
          </Link>
        ))}
      </nav>
    </header>
  )
}

// How many findings there are, and which of them are shown: by level, kind, file and state together, or those let
// stand; and the other ways to look at the text.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { number } from '../../shared/i18n'
import type { Project } from '../../shared/types'
import { EVERYTHING, fits, type Choice } from '../choice'
import type { Findings } from '../queries'

interface Props {
  project: Project
  found: Findings
  choice: Choice
  onChoose: (choice: Choice) => void
}
type Dimension = 'level' | 'group' | 'file' | 'state'

export function Facets({ project, found, choice, onChoose }: Props) {
  const { t } = useTranslation()
  const { findings, checked, untranslated } = found
  const count = (one: Choice) => findings.filter((finding) => fits(finding, one)).length
  const everything = JSON.stringify(choice) === JSON.stringify(EVERYTHING)
  return (
    <aside aria-label={t('check.kinds')}>
      <p className="sums">
        <b>{number(count({ ...EVERYTHING, level: 'must-fix' }))}</b> {t('check.levels.must-fix')} ·{' '}
        <b>{number(count({ ...EVERYTHING, level: 'look' }))}</b> {t('check.levels.look')}
      </p>
      <p className="small quiet">
        {t('check.checked', { count: checked })} ·{' '}
        <Link className="plain-link" to={`/projects/${project.id}/check/profile`}>
          {t(`check.profiles.${found.profile}`, { client: found.client })}
        </Link>
      </p>
      {untranslated > 0 && <p className="small quiet">{t('check.untranslated', { count: untranslated })}</p>}
      <h2>{t('check.kind')}</h2>
      <ul>
        <Line
          name={t('check.everything')}
          count={count(EVERYTHING)}
          on={everything}
          onPress={() => onChoose(EVERYTHING)}
        />
        <Values
          dimension="level"
          {...{ findings, choice, onChoose }}
          name={(one) => t(`check.levels.${one}`)}
        />
        <Values
          dimension="group"
          {...{ findings, choice, onChoose }}
          name={(one) => t(`check.groups.${one}`)}
        />
      </ul>
      <Section title={t('check.file')} dimension="file" {...{ findings, choice, onChoose }} />
      <Section
        title={t('check.state')}
        dimension="state"
        {...{ findings, choice, onChoose }}
        name={(one) => t(`states.${one}`)}
      />
      <h2>{t('check.apart')}</h2>
      <ul>
        <Line
          name={t('check.standing')}
          count={count({ stands: true })}
          on={choice.stands}
          onPress={() => onChoose({ stands: !choice.stands })}
        />
      </ul>
      <h2>{t('check.besides')}</h2>
      <ul className="besides">
        {(['words', 'alike'] as const).map((view) => (
          <li key={view}>
            <Link className="plain-link" to={`/projects/${project.id}/check/${view}`}>
              {t(`check.views.${view}`)}
            </Link>
          </li>
        ))}
      </ul>
    </aside>
  )
}

interface ValuesProps {
  dimension: Dimension
  findings: Findings['findings']
  choice: Choice
  onChoose: (choice: Choice) => void
  name?: (value: string) => string
}

// The values of one dimension, each counted within what the others leave.
function Values({ dimension, findings, choice, onChoose, name = (value) => value }: ValuesProps) {
  const within = (value?: string) => ({ ...choice, [dimension]: value }) as Choice
  const values = [...new Set(findings.filter((one) => !one.stands).map((one) => one[dimension]))]
  return values.map((value) => (
    <Line
      key={value}
      name={name(value)}
      count={findings.filter((finding) => fits(finding, within(value))).length}
      on={choice[dimension] === value}
      onPress={() => onChoose(within(choice[dimension] === value ? undefined : value))}
    />
  ))
}

function Section({ title, ...values }: ValuesProps & { title: string }) {
  const several = new Set(values.findings.map((one) => one[values.dimension])).size > 1
  if (!several) return null
  return (
    <>
      <h2>{title}</h2>
      <ul>
        <Values {...values} />
      </ul>
    </>
  )
}

interface LineProps {
  name: string
  count: number
  on: boolean
  onPress: () => void
}

function Line({ name, count, on, onPress }: LineProps) {
  return (
    <li>
      <button type="button" aria-pressed={on} onClick={onPress}>
        <span>{name}</span> <span className="tab">{number(count)}</span>
      </button>
    </li>
  )
}

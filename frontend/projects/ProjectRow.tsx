// A project in the list: when it is due, whose it is, how far it is, what it is worth, what can be done to it.
import type { TFunction } from 'i18next'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { money } from '../count/figures'
import { dayText, timeText } from '../shared/dueText'
import { now, number, shortDate } from '../shared/i18n'
import { StateBar } from '../shared/parts/StateBar'
import type { ListedProject, ProjectState } from '../shared/types'
import { ProjectMenu } from './ProjectMenu'

interface Props {
  row: ListedProject
  state: ProjectState
  selected: boolean
  onSelect: (selected: boolean) => void
}

export const wordsOf = ({ words }: ListedProject) => Object.values(words).reduce((sum, one) => sum + one, 0)

function stateText(row: ListedProject, state: ProjectState, t: TFunction) {
  const dated = { delivered: row.delivered_at, finished: row.finished_at, trash: row.deleted_at }
  if (state in dated)
    return t(`projects.steps.${state}`, { day: shortDate(dated[state as keyof typeof dated]!) })
  if (state !== 'progress') return t(`projects.steps.${state}`)
  const untouched = row.words.untouched === wordsOf(row) && row.step === 'translate'
  return t(`projects.steps.${untouched ? 'untouched' : row.step}`)
}

const addressOf = ({ id, step }: ListedProject) => `/projects/${id}/${step ? 'translate' : 'brief'}`

export function ProjectRow({ row, state, selected, onSelect }: Props) {
  const { t } = useTranslation()
  const languages = row.target_lang && `${row.source_lang} → ${row.target_lang}`
  return (
    <li className={selected ? 'selected' : ''}>
      <input
        type="checkbox"
        aria-label={t('projects.select', { name: row.name })}
        checked={selected}
        onChange={(event) => onSelect(event.target.checked)}
      />
      <Due row={row} state={state} />
      <div>
        <h2>{row.deleted_at ? row.name : <Link to={addressOf(row)}>{row.name}</Link>}</h2>
        <p className="quiet small">{[row.client, row.reference, languages].filter(Boolean).join(' · ')}</p>
      </div>
      <StateBar words={row.words} />
      <div className="tab figure">{number(wordsOf(row))}</div>
      <div className="state">{stateText(row, state, t)}</div>
      <div className="tab figure">
        {row.worth.length ? row.worth.map(({ amount, currency }) => money(amount, currency)).join(', ') : '—'}
      </div>
      <ProjectMenu project={row} begun={row.step !== null} />
    </li>
  )
}

function Due({ row, state }: { row: ListedProject; state: ProjectState }) {
  const { t } = useTranslation()
  const { due_at: due } = row
  const late = state === 'progress' && due !== null && new Date(due) < now()
  return (
    <div className={late ? 'due alarm' : 'due'}>
      <div>{due ? dayText(due, t) : '—'}</div>
      <div className={late ? 'small' : 'small quiet'}>{late ? t('today.overdue') : due && timeText(due)}</div>
    </div>
  )
}

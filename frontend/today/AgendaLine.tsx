// A project in the agenda: when it is due, how far it is, what is left of it, its next step.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { dayText, timeText } from '../shared/dueText'
import { daysUntil, now, number, pace } from '../shared/i18n'
import { money } from '../count/figures'
import { ProjectMenu } from '../projects/ProjectMenu'
import { StateBar } from '../shared/parts/StateBar'
import type { AgendaRow } from '../shared/types'

const sameDay = (one?: string | null, other?: string | null) =>
  !!one && !!other && daysUntil(one) === daysUntil(other)

export function AgendaLine({ row, before }: { row: AgendaRow; before?: AgendaRow }) {
  const { t } = useTranslation()
  const same = sameDay(before?.due_at, row.due_at)
  return (
    <li className={same ? 'same-day' : ''}>
      <div>{!same && <When row={row} />}</div>
      <div>
        <h2>
          <Link to={`/projects/${row.id}/translate`}>{row.name}</Link>
        </h2>
        <p className="quiet small">
          {[row.client, row.reference, `${row.source_lang} → ${row.target_lang}`].filter(Boolean).join(' · ')}
        </p>
      </div>
      <div>
        <StateBar words={row.words} />
        <p className="small quiet">
          {row.left ? (
            <>
              <b className="tab left">{number(row.left)}</b> {t('today.left')} · {pace(row.hours)}
            </>
          ) : (
            t('today.allDone')
          )}
        </p>
      </div>
      <div>
        <p className="step">
          <Link
            className="link"
            to={`/projects/${row.id}/${row.step === 'translate' ? 'translate' : 'deliver'}`}
          >
            {t(`today.step.${row.step}`)}
          </Link>
          <ProjectMenu project={row} />
        </p>
        {row.worth.map(({ amount, currency }) => (
          <p className="small tab" key={currency}>
            {t('today.worth', { amount: money(amount, currency) })}
          </p>
        ))}
        {row.known !== null && row.words.untouched > 0 && (
          <p className="small">{t('today.known', { percent: row.known })}</p>
        )}
      </div>
    </li>
  )
}

function When({ row }: { row: AgendaRow }) {
  const { t } = useTranslation()
  const { due_at: due, step, left } = row
  const late = due !== null && new Date(due) < now() && step !== 'delivered'
  const urgent = late || (due !== null && daysUntil(due) === 0 && left > 0)
  return (
    <>
      <div className={`day ${urgent ? 'alarm' : ''}`}>{dayText(due, t)}</div>
      <div className={`small ${late ? 'alarm' : 'quiet'}`}>
        {late ? t('today.overdue') : due && timeText(due)}
      </div>
    </>
  )
}

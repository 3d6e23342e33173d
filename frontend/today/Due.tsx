// What is due, in order of time; on top the one thing to go on with.
import { Button } from 'antd'
import { useTranslation } from 'react-i18next'
import { Link, useNavigate } from 'react-router'
import { longDate, now, number, pace } from '../shared/i18n'
import type { Agenda } from '../shared/types'
import { reminderText } from '../shared/useReminder'
import { TourOffer } from '../tour/TourOffer'
import { AgendaLine } from './AgendaLine'
import { ToReview } from './ToReview'

const LEGEND = [
  ['today.legend.done', 'var(--ink5)'],
  ['states.translated', 'var(--ink4)'],
  ['states.draft', 'var(--ink2)'],
  ['states.untouched', 'var(--ink1)'],
] as const

export function Due({ agenda }: { agenda: Agenda }) {
  const { t } = useTranslation()
  const { due_this_week: due, words_per_hour } = agenda
  return (
    <section>
      <h1>{longDate(now().toISOString())}</h1>
      <p className="quiet">
        {due
          ? t('today.week', { count: due, words: number(due), pace: pace(due / words_per_hour) })
          : t('today.weekNone')}
      </p>
      <TourOffer />
      <Reminders list={agenda.reminders} />
      <ToReview list={agenda.to_review} />
      {agenda.resume && <GoOn resume={agenda.resume} />}
      {agenda.projects.length ? (
        <>
          <ul className="agenda" aria-label={t('today.agenda')}>
            {agenda.projects.map((row, index) => (
              <AgendaLine key={row.id} row={row} before={agenda.projects[index - 1]} />
            ))}
          </ul>
          <ul className="legend">
            {LEGEND.map(([name, ink]) => (
              <li key={name} style={{ '--swatch': ink } as React.CSSProperties}>
                {t(name)}
              </li>
            ))}
          </ul>
        </>
      ) : (
        <p className="quiet no-work">{t('today.noProjects')}</p>
      )}
    </section>
  )
}

function GoOn({ resume }: { resume: NonNullable<Agenda['resume']> }) {
  const { t } = useTranslation()
  const go = useNavigate()
  const { name, number: segment, total, text, project_id, segment_id } = resume
  return (
    <div className="go-on">
      <div className="text">
        <p className="quiet">{t('today.wereIn', { name, number: segment, total })}</p>
        <p className="reading">{text}</p>
      </div>
      <Button
        type="primary"
        size="large"
        autoFocus
        onClick={() => void go(`/projects/${project_id}/translate#${segment_id}`)}
      >
        {t('today.goOn')} ↵
      </Button>
    </div>
  )
}

// What is due within a working day.
function Reminders({ list }: { list: Agenda['reminders'] }) {
  const { t } = useTranslation()
  if (!list.length) return null
  return (
    <ul className="reminders">
      {list.map((one) => (
        <li key={one.id}>
          <Link to={`/projects/${one.id}/translate`}>{one.name}</Link> {reminderText(one.due_at, t)}
        </li>
      ))}
    </ul>
  )
}

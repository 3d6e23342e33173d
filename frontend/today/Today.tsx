// Today: what is due, in order of time, and the one thing to go on with.
import { useQuery } from '@tanstack/react-query'
import { App, Button } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useNavigate } from 'react-router'
import { api } from '../shared/api'
import { Failure, Frame, Waiting } from '../shared/Frame'
import { daysUntil, longDate, number, pace, shortDate, time, weekday } from '../shared/i18n'
import { DropFiles, StateBar } from '../shared/parts'
import type { Agenda, AgendaRow } from '../shared/types'
import { beginBrief } from '../brief/dropping'
import { Sending } from '../brief/Sending'

export function Today() {
  const { t } = useTranslation()
  const go = useNavigate()
  const { message } = App.useApp()
  const agenda = useQuery({
    queryKey: ['today'],
    queryFn: () => api.get<Agenda>('/today'),
    refetchOnMount: 'always',
  })
  const [sending, setSending] = useState<{ share: number | null; count: number }>({ share: null, count: 0 })
  const drop = async (files: File[]) => {
    if (!files.length) return
    try {
      setSending({ share: 0, count: files.length })
      const id = await beginBrief(files, (share) => setSending({ share, count: files.length }))
      void go(`/projects/${id}/brief`)
    } catch (error) {
      const text = (error as Error).message
      void message.error(text === 'offline' ? t('app.offline') : text)
      setSending({ share: null, count: 0 })
    }
  }
  const data = agenda.data
  return (
    <Frame>
      {agenda.error && !data ? (
        <Failure error={agenda.error} again={() => void agenda.refetch()} />
      ) : !data ? (
        <Waiting />
      ) : (
        <div
          className="today"
          onDragOver={(event) => event.preventDefault()}
          onDrop={(event) => {
            event.preventDefault()
            void drop([...event.dataTransfer.files])
          }}
        >
          <section>
            <h1>{longDate(new Date().toISOString())}</h1>
            <p className="quiet">
              {data.due_this_week
                ? t('today.week', {
                    count: data.due_this_week,
                    words: number(data.due_this_week),
                    pace: pace(data.due_this_week / data.words_per_hour),
                  })
                : t('today.weekNone')}
            </p>
            {data.resume && (
              <div className="go-on">
                <div className="text">
                  <p className="quiet">
                    {t('today.wereIn', {
                      name: data.resume.name,
                      number: data.resume.number,
                      total: data.resume.total,
                    })}
                  </p>
                  <p className="reading">{data.resume.text}</p>
                </div>
                <Button
                  type="primary"
                  size="large"
                  autoFocus
                  onClick={() =>
                    void go(`/projects/${data.resume!.project_id}/translate#${data.resume!.segment_id}`)
                  }
                >
                  {t('today.goOn')} ↵
                </Button>
              </div>
            )}
            {data.projects.length ? (
              <>
                <ul className="agenda" aria-label={t('today.agenda')}>
                  {data.projects.map((row, index) => (
                    <Line key={row.id} row={row} before={data.projects[index - 1]} />
                  ))}
                </ul>
                <ul className="legend">
                  <li style={{ '--swatch': 'var(--ink5)' } as React.CSSProperties}>
                    {t('today.legend.done')}
                  </li>
                  <li style={{ '--swatch': 'var(--ink4)' } as React.CSSProperties}>
                    {t('states.translated')}
                  </li>
                  <li style={{ '--swatch': 'var(--ink2)' } as React.CSSProperties}>{t('states.draft')}</li>
                  <li style={{ '--swatch': 'var(--ink1)' } as React.CSSProperties}>
                    {t('states.untouched')}
                  </li>
                </ul>
              </>
            ) : (
              <div className="empty">
                <h2>{t('today.empty')}</h2>
                <p className="quiet">{t('today.emptyLead')}</p>
              </div>
            )}
          </section>
          <aside className="side">
            <Sending {...sending} />
            <DropFiles onFiles={(files) => void drop(files)}>
              <h2>{t('today.drop')}</h2>
              <p className="quiet">
                {t('today.dropLead')}
                <br />
                <span className="plain-link">{t('today.choose')}</span>
              </p>
            </DropFiles>
            {data.briefs.length > 0 && (
              <>
                <h3>{t('today.briefs')}</h3>
                <ul className="side-list">
                  {data.briefs.map((brief) => (
                    <li key={brief.id}>
                      <span>
                        <Link className="plain-link" to={`/projects/${brief.id}/brief`}>
                          {brief.name}
                        </Link>{' '}
                        <span className="quiet small">
                          {t('today.briefFiles', { count: brief.files })} · {shortDate(brief.created_at)},{' '}
                          {time(brief.created_at)}
                        </span>
                      </span>
                      <button
                        type="button"
                        className="quiet small"
                        aria-label={`${t('today.remove')}: ${brief.name}`}
                        onClick={() => void api.delete(`/projects/${brief.id}`).then(() => agenda.refetch())}
                      >
                        {t('today.remove')}
                      </button>
                    </li>
                  ))}
                </ul>
              </>
            )}
          </aside>
        </div>
      )}
    </Frame>
  )
}

function Line({ row, before }: { row: AgendaRow; before?: AgendaRow }) {
  const { t } = useTranslation()
  const same = before?.due_at && row.due_at && daysUntil(before.due_at) === daysUntil(row.due_at)
  const days = row.due_at ? daysUntil(row.due_at) : null
  const late = row.due_at !== null && new Date(row.due_at) < new Date() && row.step !== 'delivered'
  const day =
    days === null
      ? t('today.noDue')
      : days === 0
        ? t('app.today')
        : days === 1
          ? t('today.tomorrow')
          : days > 0 && days < 7
            ? weekday(row.due_at!)
            : shortDate(row.due_at!)
  return (
    <li className={same ? 'same-day' : ''}>
      <div>
        {!same && (
          <>
            <div className={`day ${late || (days === 0 && row.left > 0) ? 'alarm' : ''}`}>{day}</div>
            <div className={`small ${late ? 'alarm' : 'quiet'}`}>
              {row.due_at &&
                (late
                  ? t('today.overdue')
                  : days !== null && days > 1 && days < 7
                    ? `${shortDate(row.due_at)}, ${time(row.due_at)}`
                    : time(row.due_at))}
            </div>
          </>
        )}
      </div>
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
              <b className="tab" style={{ color: 'var(--text)' }}>
                {number(row.left)}
              </b>{' '}
              {t('today.left')} · {pace(row.hours)}
            </>
          ) : (
            t('today.allDone')
          )}
        </p>
      </div>
      <div>
        <Link
          className="link"
          to={`/projects/${row.id}/${row.step === 'translate' ? 'translate' : 'deliver'}`}
        >
          {t(`today.step.${row.step}`)}
        </Link>
        {row.known !== null && row.words.untouched > 0 && (
          <p className="small">{t('today.known', { percent: row.known })}</p>
        )}
      </div>
    </li>
  )
}

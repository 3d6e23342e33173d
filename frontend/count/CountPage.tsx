// A count of its own, such as a quick count: looked at, laid beside another, kept, made a project.
import { Button, Input } from 'antd'
import { useState } from 'react'
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { api } from '../shared/api'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { keys } from '../shared/queryKeys'
import type { Report } from '../shared/types'
import { useAct } from '../shared/useAct'
import { Counting } from './Counting'
import { keepReport, useReport, useReports } from './queries'
import { ReportView } from './ReportView'

export function CountPage() {
  const id = Number(useParams().id)
  const [params, setParams] = useSearchParams()
  const query = useReport(id, Number(params.get('beside')) || null)
  const all = useReports({})
  const report = query.data
  if (!report)
    return (
      <Frame>
        {query.error ? <Failure error={query.error} again={() => void query.refetch()} /> : <Waiting />}
      </Frame>
    )
  return (
    <Frame>
      {report.state === 'ready' ? (
        <ReportView
          key={report.id}
          report={report}
          others={all.data ?? []}
          lay={(beside) => setParams(beside ? { beside: String(beside) } : {})}
          due={null}
          acts={<Acts report={report} />}
        />
      ) : (
        <Counting report={report} />
      )}
    </Frame>
  )
}

function Acts({ report }: { report: Report }) {
  const { t } = useTranslation()
  const go = useNavigate()
  const { act } = useAct()
  const makeProject = () =>
    void act(async () => {
      await api.patch(`/quick_counts/${report.project_id}`)
      void go(`/projects/${report.project_id}/brief`)
    })
  return (
    <span className="presses">
      {report.kept ? <b>{t('count.keptNow')}</b> : <Keep report={report} />}
      <button type="button" className="plain-link" onClick={makeProject}>
        {t('count.makeProject')}
      </button>
      <Link className="plain-link" to="/count">
        {t('count.another')}
      </Link>
    </span>
  )
}

function Keep({ report }: { report: Report }) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const [name, setName] = useState<string | null>(null)
  const keep = () =>
    void act(async () => {
      await keepReport(report.id, name ?? '')
      await cache.invalidateQueries({ queryKey: keys.anyReport(report.id) })
      await cache.invalidateQueries({ queryKey: keys.allReports })
    })
  if (name === null)
    return (
      <button type="button" className="plain-link" onClick={() => setName(report.name)}>
        {t('count.keep')}
      </button>
    )
  return (
    <span className="keep-as">
      <Input
        autoFocus
        size="small"
        aria-label={t('count.keepName')}
        value={name}
        onChange={(event) => setName(event.target.value)}
        onPressEnter={keep}
      />
      <Button size="small" loading={busy} onClick={keep}>
        {t('count.keep')}
      </Button>
    </span>
  )
}

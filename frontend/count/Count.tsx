// Count: the reports of a project, the latest one first in sight, and the quote made of it.
import { useTranslation } from 'react-i18next'
import { useParams, useSearchParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import type { Report } from '../shared/types'
import { useAct } from '../shared/useAct'
import { useProject } from '../shared/useProject'
import { Counting } from './Counting'
import { PostEdited } from './PostEdited'
import { finished, makeReport, useReport, useReportNews, useReports } from './queries'
import { ReportView } from './ReportView'

// Which report is looked at, and which lies beside it: in the address.
export function useChosen(newest: number | null) {
  const [params, setParams] = useSearchParams()
  const given = (name: string) => Number(params.get(name)) || null
  const show = (report: number | null, beside: number | null) =>
    setParams({
      ...(report ? { report: String(report) } : {}),
      ...(beside ? { beside: String(beside) } : {}),
    })
  return { report: given('report') ?? newest, beside: given('beside'), show }
}

export function Count() {
  const id = Number(useParams().id)
  const project = useProject(id).data
  const list = useReports({ project_id: id })
  // Other counts in the same languages for comparison.
  const all = useReports(
    { source_lang: project?.source_lang ?? undefined, target_lang: project?.target_lang ?? undefined },
    !!project,
  )
  const chosen = useChosen(list.data?.[0]?.id ?? null)
  const query = useReport(chosen.report, chosen.beside)
  useReportNews(id)
  const { act } = useAct()
  const words = project && {
    done: (project.words.translated ?? 0) + (project.words.reviewed ?? 0) + (project.words.final ?? 0),
    total: Object.values(project.words).reduce((sum, one) => sum + one, 0),
  }
  const error = query.error ?? list.error
  if (error || !project || !list.data)
    return (
      <Frame project={project}>
        {error ? <Failure error={error} again={() => void list.refetch()} /> : <Waiting />}
      </Frame>
    )
  const refresh = list.refetch
  const acts = <CountAgain project={id} report={query.data} show={chosen.show} refresh={refresh} />
  // Another choice of memories, with what was looked at beside it.
  const recount = (memories: number[]) =>
    void act(async () => {
      const made = await finished((await makeReport(id, memories)).id)
      chosen.show(made.id, chosen.report)
      await refresh()
    })
  return (
    <Frame project={project} words={words}>
      {query.data?.state === 'ready' ? (
        <ReportView
          key={query.data.id}
          report={query.data}
          others={all.data ?? list.data}
          lay={(beside) => chosen.show(chosen.report, beside)}
          due={project.due_at}
          acts={acts}
          below={<PostEdited project={id} />}
          own={list.data}
          open={(report) => chosen.show(report, null)}
          recount={recount}
        />
      ) : (
        <Counting report={query.data}>{acts}</Counting>
      )}
    </Frame>
  )
}

interface AgainProps {
  project: number
  report?: Report
  show: (report: number | null, beside: number | null) => void
  refresh: () => Promise<unknown>
}

// Counting anew, as the project is set now; or without any memory, laid beside what is looked at.
function CountAgain({ project, report, show, refresh }: AgainProps) {
  const { t } = useTranslation()
  const { act, busy } = useAct()
  const again = () =>
    void act(async () => {
      const made = await makeReport(project)
      show(made.id, null)
      await refresh()
    })
  const without = () =>
    void act(async () => {
      const made = await makeReport(project, [])
      await finished(made.id)
      show(report?.id ?? null, made.id)
      await refresh()
    })
  return (
    <span className="presses">
      <button type="button" className="plain-link" disabled={busy} onClick={again}>
        {report ? t('count.again') : t('count.countNow')}
      </button>
      {report && report.memories.length > 0 && (
        <button type="button" className="plain-link" disabled={busy} onClick={without}>
          {t('count.withoutBeside')}
        </button>
      )}
    </span>
  )
}

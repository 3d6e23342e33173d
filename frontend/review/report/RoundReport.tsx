// The report on a round as a page that prints: how much was changed and remarked, of what kind, and the
// lists.
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import { Frame } from '../../shared/Frame'
import { fullDate } from '../../shared/i18n'
import { Failure, Waiting } from '../../shared/Notices'
import type { Project } from '../../shared/types'
import { useProject } from '../../shared/useProject'
import { reportAddress, useRound, type RoundPage } from '../queries'
import { ByFile, Counted, Figures } from './Figures'
import { BeforeAndAfter, Remarks } from './Lists'
import './report.css'

export function RoundReport() {
  const { id, round } = useParams()
  const project = useProject(Number(id))
  const page = useRound(Number(round))
  const error = project.error ?? page.error
  const again = () => {
    void project.refetch()
    void page.refetch()
  }
  return (
    <Frame project={project.data}>
      {project.data && page.data && <Report project={project.data} page={page.data} />}
      {!(project.data && page.data) && (error ? <Failure error={error} again={again} /> : <Waiting />)}
    </Frame>
  )
}

function Report({ project, page }: { project: Project; page: RoundPage }) {
  const { t } = useTranslation()
  const { round, amount } = page
  return (
    <div className="sheet-view round-report">
      <p className="small no-print outs">
        <Link className="plain-link" to={`/projects/${project.id}/review`}>
          ← {t('review.reported.back')}
        </Link>
        <button type="button" className="link" onClick={() => window.print()}>
          {t('review.reported.print')}
        </button>
        <a className="link" href={reportAddress(round.id)} download>
          {t('review.reported.xlsx')}
        </a>
      </p>
      <h1>{t('review.reported.title', { number: round.number })}</h1>
      <p className="quiet">
        {t('review.reported.lead', {
          project: [project.reference, project.name].filter(Boolean).join(' '),
          languages: `${project.source_lang} → ${project.target_lang}`,
          reviser: round.reviser,
          date: fullDate(round.closed_at ?? round.back_at ?? round.created_at),
        })}
      </p>
      <Figures {...{ round, amount }} />
      <div className="tables">
        <Counted
          title={t('review.reported.kinds')}
          rows={Object.entries(amount.kinds).map(([kind, count]) => [t(`review.kinds.${kind}`), count])}
        />
        <Counted
          title={t('review.reported.errors')}
          rows={Object.entries(amount.score.kinds).map(([kind, one]) => [
            t(`errorTypes.${kind}`),
            one.count,
            one.points,
          ])}
        />
        <Counted
          title={t('review.reported.severities')}
          rows={Object.entries(amount.score.severities).map(([severity, one]) => [
            t(`severities.${severity}`),
            one.count,
            one.points,
          ])}
        />
      </div>
      <ByFile files={amount.files} />
      <BeforeAndAfter changes={page.changes} project={project} />
      <Remarks remarks={page.remarks} />
    </div>
  )
}

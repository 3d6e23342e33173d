// The findings as a page that prints: what is open, what was let stand and why, by whom.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { fullDate, time } from '../../shared/i18n'
import { Failure, Waiting } from '../../shared/Notices'
import type { Project } from '../../shared/types'
import { Written } from '../../shared/Written'
import { Standing } from '../list/Standing'
import { useFindings, type Finding } from '../queries'
import { SideView } from '../SideView'

export function CheckReport() {
  const id = Number(useParams().id)
  const { t } = useTranslation()
  return (
    <SideView id={id} title={t('check.report.title')}>
      {(project) => <Report project={project} />}
    </SideView>
  )
}

function Report({ project }: { project: Project }) {
  const { t } = useTranslation()
  const { data, error, refetch } = useFindings(project.id)
  const [now] = useState(() => new Date().toISOString())
  if (error) return <Failure error={error} again={() => void refetch()} />
  if (!data) return <Waiting />
  const about = {
    project: [project.reference, project.name].filter(Boolean).join(' '),
    languages: `${project.source_lang} → ${project.target_lang}`,
    date: `${fullDate(now)}, ${time(now)}`,
  }
  return (
    <div className="check-report">
      <p className="quiet">{t('check.report.made', about)}</p>
      <p className="no-print">
        <button type="button" className="link" onClick={() => window.print()}>
          {t('check.print')}
        </button>
      </p>
      <Part title={t('check.report.open')} findings={data.findings.filter((one) => !one.stands)} />
      <Part title={t('check.report.standing')} findings={data.findings.filter((one) => one.stands)} />
    </div>
  )
}

function Part({ title, findings }: { title: string; findings: Finding[] }) {
  const { t } = useTranslation()
  return (
    <section aria-label={title}>
      <h2>
        {title} <span className="quiet tab">{findings.length}</span>
      </h2>
      {findings.length === 0 && <p className="quiet">{t('check.report.none')}</p>}
      <ul>
        {findings.map((finding, index) => (
          <li key={index} className={finding.level}>
            <span className="small quiet">
              {finding.file} · {finding.number} · {t(`check.levels.${finding.level}`)}
            </span>
            <span className="message">{finding.message}</span>
            <span className="source">
              <Written value={finding.source_written} codes={finding.codes} />
            </span>
            <span className="target">
              <Written value={finding.target_written} codes={finding.codes} />
            </span>
            <Standing finding={finding} />
          </li>
        ))}
      </ul>
    </section>
  )
}

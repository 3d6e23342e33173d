// Check: the findings in text order, each with its place marked, a fix where one is certain, and Ignore.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import type { Project } from '../shared/types'
import { useProject } from '../shared/useProject'
import { EVERYTHING, fits, inOrder, type Choice, type Order } from './choice'
import { Facets } from './list/Facets'
import { FindingList } from './list/FindingList'
import { CheckProgress } from './list/CheckProgress'
import { Orders } from './list/Orders'
import { useMending } from './list/useMending'
import { reportFile, useFindings, type Findings } from './queries'
import './check.css'

export function Check() {
  const id = Number(useParams().id)
  const project = useProject(id)
  const found = useFindings(id)
  if (project.data && found.data) return <Found project={project.data} found={found.data} />
  const error = project.error ?? found.error
  const again = () => {
    void project.refetch()
    void found.refetch()
  }
  return <Frame project={project.data}>{error ? <Failure error={error} again={again} /> : <Waiting />}</Frame>
}

function Found({ project, found }: { project: Project; found: Findings }) {
  const { t } = useTranslation()
  const [choice, setChoice] = useState<Choice>(EVERYTHING)
  const [order, setOrder] = useState<Order>('text')
  const shown = inOrder(
    found.findings.filter((finding) => fits(finding, choice)),
    order,
  )
  const mending = useMending(project.id)
  const certain = shown.filter((finding) => finding.fix && !finding.stands)
  return (
    <Frame project={project}>
      <div className="check">
        <Facets {...{ found, choice }} project={project} onChoose={setChoice} />
        <section aria-label={t('check.title')}>
          <header>
            <div>
              <h1>{t('check.title')}</h1>
              <p className="small quiet" role="status">
                {t('check.count', { count: shown.length })} <Orders order={order} onOrder={setOrder} />
              </p>
            </div>
            <p className="outs">
              {certain.length > 0 && (
                <button type="button" className="link" onClick={() => mending.putRight(certain)}>
                  {t('check.allCertain', { count: certain.length })}
                </button>
              )}
              <a className="quiet-link" href={reportFile(project.id)} download>
                XLSX
              </a>
              <Link className="quiet-link" to={`/projects/${project.id}/check/report`}>
                {t('check.print')}
              </Link>
            </p>
          </header>
          <CheckProgress project={project.id} found={found} />
          {shown.length === 0 && found.left === 0 && (
            <p className="quiet">{t(found.checked ? 'check.nothing' : 'check.nothingYet')}</p>
          )}
          <FindingList {...{ shown, project, mending, order }} />
        </section>
      </div>
    </Frame>
  )
}

// Check: what would embarrass her, in text order, each with its spot marked, a fix where one is certain, and a
// way to let it stand.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import type { Project } from '../shared/types'
import { useProject } from '../shared/useProject'
import { EVERYTHING, Facets, fits, type Choice } from './Facets'
import { FindingItem } from './FindingItem'
import { useFindings, type Findings } from './queries'
import { useMending } from './useMending'
import { useWalking } from './useWalking'
import './check.css'

export function Check() {
  const id = Number(useParams().id)
  const project = useProject(id)
  const found = useFindings(id)
  if (project.data && found.data) return <Found project={project.data} {...found.data} />
  const error = project.error ?? found.error
  const again = () => {
    void project.refetch()
    void found.refetch()
  }
  return <Frame project={project.data}>{error ? <Failure error={error} again={again} /> : <Waiting />}</Frame>
}

function Found({ project, findings, checked }: Findings & { project: Project }) {
  const { t } = useTranslation()
  const [choice, setChoice] = useState<Choice>(EVERYTHING)
  const shown = findings.filter((finding) => fits(finding, choice))
  const mending = useMending(project.id)
  const { list, onKeyDown } = useWalking(shown, mending)
  const certain = shown.filter((finding) => finding.fix && !finding.stands)
  return (
    <Frame project={project}>
      <div className="check">
        <Facets {...{ findings, checked, choice }} onChoose={setChoice} />
        <section aria-label={t('check.title')}>
          <header>
            <div>
              <h1>{t('check.title')}</h1>
              <p className="small quiet">{t('check.count', { count: shown.length })}</p>
            </div>
            {certain.length > 0 && (
              <button type="button" className="link" onClick={() => mending.putRight(certain)}>
                {t('check.allCertain', { count: certain.length })}
              </button>
            )}
          </header>
          {shown.length === 0 && <p className="quiet">{t(checked ? 'check.nothing' : 'check.nothingYet')}</p>}
          <ol ref={list} className="findings">
            {shown.map((finding, index) => (
              <FindingItem
                key={`${finding.key} ${index}`}
                {...{ finding, project, mending }}
                first={index === 0}
                onKeyDown={onKeyDown}
              />
            ))}
          </ol>
        </section>
      </div>
    </Frame>
  )
}

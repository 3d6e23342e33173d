// Brief: the files as they are read on the left, what the project will be on the right. Everything is changed
// in place.
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { ItsServer } from '../servers/ItsServer'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { DocumentRow, Project } from '../shared/types'
import { About } from './About'
import { Begin } from './Begin'
import { Activity } from '../operations/Activity'
import { Extras } from './Extras'
import { Files } from './Files'
import { SaveSettings } from './SaveSettings'
import { ThisProject } from '../projects/ThisProject'
import { changeProject, useBrief } from './queries'
import { References } from './References'
import { UseTemplate } from './UseTemplate'
import { ProjectMemories } from './ProjectMemories'
import { ProjectTermbases } from './ProjectTermbases'
import { Sum } from './Sum'
import { useChanges } from './useChanges'
import { useSending } from './useSending'
import './brief.css'

export type Change = (fields: Record<string, unknown>) => void

const isReady = (one: DocumentRow) => one.state === 'ready'
const isUnderWay = (one: DocumentRow) => one.state === 'waiting' || one.state === 'reading'
const wordsOf = (rows: DocumentRow[]) => rows.reduce((sum, one) => sum + (one.facts.words ?? 0), 0)

function doneWords(project: Project) {
  const { translated = 0, reviewed = 0, final = 0 } = project.words
  return translated + reviewed + final
}

export function Brief() {
  const { t } = useTranslation()
  const id = Number(useParams().id)
  const query = useBrief(id)
  const { attempt, set, settled, busy: changing, onTheirWay } = useChanges(query.refetch)
  const { sending, drop } = useSending(id, attempt)
  const project = query.data && { ...query.data, ...onTheirWay }
  if (!project)
    return (
      <Frame>
        {query.error ? <Failure error={query.error} again={() => void query.refetch()} /> : <Waiting />}
      </Frame>
    )

  const change: Change = (fields) => set(fields, (all) => changeProject(id, all))
  const ready = project.documents.filter(isReady)
  const canBegin = ready.length > 0 && !project.documents.some(isUnderWay) && !changing
  const words = { done: doneWords(project), total: wordsOf(ready) }
  return (
    <Frame project={project} words={project.begun_at ? words : undefined}>
      <div
        className="brief"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault()
          drop([...event.dataTransfer.files])
        }}
      >
        <section>
          <h1>
            <TextInPlace
              value={project.name}
              blank={t('brief.nothing')}
              label={t('brief.name')}
              onChange={(name) => change({ name })}
            />
          </h1>
          <p className="quiet">
            {project.kind === 'template'
              ? t('template.lead')
              : t('brief.files', { count: project.documents.length, ready: ready.length })}
            {project.proposed.as_template && !project.begun_at && (
              <> · {t('template.from', { name: project.proposed.as_template })}</>
            )}
            {project.documents.length > 0 && (
              <>
                {' · '}
                <Link className="plain-link" to={`/projects/${id}/rules`}>
                  {t('brief.rules')}
                </Link>
              </>
            )}
          </p>
          {!project.server?.said && <ItsServer project={project} />}
          <Sum files={ready} words={words.total} />
          {project.kind !== 'template' && <Files {...{ project, attempt, sending, drop }} />}
          <Extras project={project} change={change} />
          {project.kind !== 'template' && <References project={id} />}
          {project.begun_at && (
            <section className="done">
              <h2>{t('operations.title')}</h2>
              <Activity
                subject="projects"
                id={id}
                stamp={query.dataUpdatedAt}
                attempt={attempt}
                none={t('operations.none')}
              />
            </section>
          )}
        </section>
        <section className="about">
          <About project={project} change={change} attempt={attempt} />
          <ProjectMemories project={project} change={change} attempt={attempt} />
          <ProjectTermbases rows={project.termbases} change={change} attempt={attempt} />
          {project.kind === 'template' ? (
            <UseTemplate template={project} />
          ) : (
            <Begin project={project} ready={canBegin} settled={settled} />
          )}
          <SaveSettings project={project} attempt={attempt} />
          <ThisProject project={project} />
        </section>
      </div>
    </Frame>
  )
}

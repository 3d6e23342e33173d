// The stages of a project as words in the order of the work, and how far it has come.
import { memo } from 'react'
import { useTranslation } from 'react-i18next'
import { NavLink } from 'react-router'
import { daysUntil, longDate, number, time, weekday } from './i18n'
import type { Project } from './types'

export interface Progress {
  done: number
  total: number
  // Words confirmed today, and when the rest is done at the user's pace.
  today?: number
  end?: Date | null
}

const STAGES = ['brief', 'count', 'translate', 'check', 'review', 'deliver'] as const

// Before the work has begun it is set up and counted; a template is only set up.
export function stagesOf(project: Project) {
  if (project.kind !== 'project') return STAGES.slice(0, 1)
  return project.begun_at ? STAGES : STAGES.slice(0, 2)
}
export const linkClass = ({ isActive }: { isActive: boolean }) => (isActive ? 'on' : '')

function Where({ project }: { project: Project }) {
  const { t } = useTranslation()
  if (project.kind === 'template') return <b>{t('template.one')}</b>
  if (!project.begun_at) {
    return (
      <>
        <b>{t('newProject')}</b> · {t('notKept')}
      </>
    )
  }
  return (
    <>
      <b>{project.reference}</b> · {project.name} · {project.source_lang} → {project.target_lang}
    </>
  )
}

interface Props {
  project: Project
  words?: Progress
}

export const Stages = memo(function Stages({ project, words }: Props) {
  const { t } = useTranslation()
  return (
    <>
      <div className="where">
        <Where project={project} />
      </div>
      <nav aria-label={t('stages.label')}>
        {stagesOf(project).map((stage) => (
          <NavLink key={stage} className={linkClass} to={`/projects/${project.id}/${stage}`}>
            {t(`stages.${stage}`)}
          </NavLink>
        ))}
      </nav>
      {words && project.begun_at && (
        <div className="amount">
          <b className="tab">{number(words.done)}</b>{' '}
          {t('progress', { done: '', total: number(words.total) }).trim()}
          {!!words.today && ` · ${t('wordsToday', { count: words.today })}`}
          <br />
          {[
            project.due_at && t('due', { when: whenText(project.due_at) }),
            words.end && t('doneAt', { when: whenText(words.end.toISOString()) }),
          ]
            .filter(Boolean)
            .join(' · ')}
        </div>
      )}
    </>
  )
})

function whenText(iso: string) {
  const days = daysUntil(iso)
  return `${days >= 0 && days < 7 ? weekday(iso) : longDate(iso)}, ${time(iso)}`
}

// Finish, reopen and delete for the project that is open; the palette offers them too.
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { commands } from '../shared/commands'
import { fullDate } from '../shared/i18n'
import type { Project } from '../shared/types'
import { useProjectActs, type ProjectAct } from './useProjectActs'

const NAMES = { finish: 'projects.finishThis', reopen: 'projects.reopenThis', delete: 'projects.deleteThis' }

function useActs(project: Project | undefined) {
  const { t } = useTranslation()
  const go = useNavigate()
  const { perform } = useProjectActs()
  if (!project) return []
  const run = (kind: ProjectAct) =>
    perform(kind, [project], kind === 'delete' ? () => void go('/') : undefined)
  return kindsOf(project).map((kind) => ({ kind, name: t(NAMES[kind]), run: () => run(kind) }))
}

function kindsOf(project: Project): (keyof typeof NAMES)[] {
  if (!project.begun_at) return ['delete']
  return [project.finished_at ? 'reopen' : 'finish', 'delete']
}

// Offers them to the palette in every stage.
export function useProjectCommands(project: Project | undefined) {
  const acts = useActs(project)
  useEffect(() =>
    commands.offerNamed(acts.map(({ kind, name, run }) => ({ id: `projects.${kind}This`, name, run }))),
  )
}

export function ThisProject({ project }: { project: Project }) {
  const { t } = useTranslation()
  const acts = useActs(project)
  return (
    <p className="small presses keeping">
      {project.finished_at && (
        <span className="quiet">{t('projects.finishedOn', { day: fullDate(project.finished_at) })}</span>
      )}
      {acts.map(({ kind, name, run }) => (
        <button type="button" className="plain-link" key={kind} onClick={run}>
          {name}
        </button>
      ))}
    </p>
  )
}

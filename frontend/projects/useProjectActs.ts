// Finishing, reopening, deleting and restoring projects: each is said, and can be undone at once.
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { keys } from '../shared/queryKeys'
import { useAct } from '../shared/useAct'
import { useOffer } from '../shared/useOffer'
import { deleteProject, restoreProject, setFinished, trashedProjects } from './queries'

export interface ActedOn {
  id: number
  name: string
}
export type ProjectAct = 'finish' | 'reopen' | 'delete' | 'restore'

const OPPOSITE: Record<ProjectAct, ProjectAct> = {
  finish: 'reopen',
  reopen: 'finish',
  delete: 'restore',
  restore: 'delete',
}
const SAID: Record<ProjectAct, string> = {
  finish: 'projects.finished',
  reopen: 'projects.reopened',
  delete: 'projects.deleted',
  restore: 'projects.restored',
}

async function carryOut(kind: ProjectAct, projects: ActedOn[]) {
  const trashed = kind === 'restore' ? await trashedProjects() : new Map<number, number>()
  for (const { id } of projects) {
    if (kind === 'delete') await deleteProject(id)
    else if (kind === 'restore') await restoreProject(trashed.get(id)!)
    else await setFinished(id, kind === 'finish')
  }
}

export function useProjectActs() {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const offer = useOffer('projects')
  // after: what is done when all went well.
  const perform = (kind: ProjectAct, projects: ActedOn[], after?: () => void) =>
    void act(async () => {
      try {
        await carryOut(kind, projects)
      } finally {
        await refresh(projects)
      }
      const said = t(SAID[kind], { count: projects.length, name: projects[0].name })
      offer(said, t('projects.undo'), () => perform(OPPOSITE[kind], projects))
      after?.()
    })
  const refresh = (projects: ActedOn[]) =>
    Promise.all([
      cache.invalidateQueries({ queryKey: keys.projectLists }),
      cache.invalidateQueries({ queryKey: keys.today }),
      ...projects.map(({ id }) => cache.invalidateQueries({ queryKey: keys.project(id) })),
    ])
  return { perform, busy }
}

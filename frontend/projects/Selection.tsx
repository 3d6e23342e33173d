// What is done to several projects at once.
import { useTranslation } from 'react-i18next'
import type { ListedProject, ProjectState } from '../shared/types'
import { useProjectActs, type ProjectAct } from './useProjectActs'

const ACTS: Record<ProjectState, ProjectAct[]> = {
  progress: ['finish', 'delete'],
  delivered: ['finish', 'delete'],
  finished: ['reopen', 'delete'],
  new: ['delete'],
  template: ['delete'],
  trash: ['restore'],
}

interface Props {
  state: ProjectState
  selected: ListedProject[]
  onDone: () => void
}

export function Selection({ state, selected, onDone }: Props) {
  const { t } = useTranslation()
  const { perform, busy } = useProjectActs()
  return (
    <div className="selection" role="region" aria-label={t('projects.selected', { count: selected.length })}>
      <b>{t('projects.selected', { count: selected.length })}</b>
      {ACTS[state].map((kind) => (
        <button
          type="button"
          className="link"
          key={kind}
          disabled={busy}
          onClick={() => perform(kind, selected, onDone)}
        >
          {t(`projects.${kind}`)}
        </button>
      ))}
      <span className="small quiet">{t('projects.trashKept')}</span>
    </div>
  )
}

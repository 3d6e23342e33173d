// How far the text has come: words done, done today, and when all of it will be at her usual pace.
import { useMemo, useState } from 'react'
import type { Progress } from '../shared/Stages'
import { useSettings } from '../shared/settings'
import type { Project } from '../shared/types'
import { doneAt } from '../shared/workTime'
import type { Store } from './store'

export function useProgress(project: Project, store: Store, revision: number): Progress {
  const { user } = useSettings()
  const [atFirst] = useState(() => store.done().words)
  return useMemo(() => {
    const { words, total } = store.done()
    const hours = (total - words) / user.words_per_hour
    return {
      done: words,
      total,
      today: Math.max(project.words_today + words - atFirst, 0),
      end: words < total ? doneAt(new Date(), hours, user.working) : null,
    }
    // The store says by its revision that something has changed.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [atFirst, project.words_today, revision, store, user])
}

// The progress of the text: words done, done today, and when all is done at the user's usual pace.
import { useMemo, useState } from 'react'
import { now } from '../shared/i18n'
import type { Progress } from '../shared/Stages'
import { useSettings } from '../shared/settings'
import type { Project } from '../shared/types'
import { doneAt } from '../shared/workTime'
import type { Store } from './store'

export function useProgress(project: Project, store: Store): Progress {
  const { user } = useSettings()
  const [atFirst] = useState(() => store.done().words)
  const { words, total } = store.done()
  return useMemo(() => {
    const hours = (total - words) / user.words_per_hour
    return {
      done: words,
      total,
      today: Math.max(project.words_today + words - atFirst, 0),
      end: words < total ? doneAt(now(), hours, user.working) : null,
    }
  }, [atFirst, project.words_today, total, user, words])
}

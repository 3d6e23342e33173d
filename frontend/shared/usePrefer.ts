// Preferences: shown at once, then saved; proposals may change with them.
import { useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { api } from './api'
import { keys } from './queryKeys'
import type { User } from './types'
import type { Act } from './useAct'

export function usePrefer(act: Act) {
  const cache = useQueryClient()
  return useCallback(
    (preferences: Record<string, unknown>) => {
      // The next choice builds on it, before the server has it.
      cache.setQueryData<User>(
        keys.me,
        (old) => old && { ...old, preferences: { ...old.preferences, ...preferences } },
      )
      void act(async () => {
        try {
          await api.patch('/settings', { preferences })
        } finally {
          await cache.invalidateQueries({ queryKey: keys.me })
        }
        await cache.invalidateQueries({ queryKey: keys.allProposals })
        await cache.invalidateQueries({ queryKey: keys.completion_contexts })
      })
    },
    [act, cache],
  )
}

// The passages and all that is told of their round are asked for again.
import { useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { keys } from '../../shared/queryKeys'

export function useRefreshPass(round: number) {
  const cache = useQueryClient()
  return useCallback(
    () =>
      Promise.all([
        cache.invalidateQueries({ queryKey: keys.round(round) }),
        cache.invalidateQueries({ queryKey: keys.allRounds }),
      ]),
    [cache, round],
  )
}

// The termbases there are, and making one: asked for on their page and in Brief.
import { useQuery } from '@tanstack/react-query'
import { api } from './api'
import { keys } from './queryKeys'
import type { Termbase } from './types'

export const useTermbases = () =>
  useQuery({
    queryKey: keys.termbases,
    queryFn: () => api.get<Termbase[]>('/termbases'),
    refetchOnMount: 'always',
  })

export const makeTermbase = (name: string) => api.post<Termbase>('/termbases', { name })

// The delivery of a project that is being made, here or on another page, and beginning one.
import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { isUnderWay, refreshUnderWay, useOperation, useUnderWay } from '../operations/queries'
import { keys } from '../shared/queryKeys'
import { useAct } from '../shared/useAct'
import { deliver } from './queries'

export function useDelivering(project: number) {
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const [begun, setBegun] = useState<number | null>(null)
  const elsewhere = useUnderWay().data?.find(
    ({ kind, subject_type, subject_id }) =>
      kind === 'delivery' && subject_type === 'Project' && subject_id === project,
  )
  const followed = useOperation(begun ?? elsewhere?.id ?? null)
  const operation = followed.data ?? null
  const { state, phase } = operation ?? {}
  // It is recorded as soon as the memories begin to learn.
  useEffect(() => {
    if (phase === 'learning' || state === 'done')
      void cache.invalidateQueries({ queryKey: keys.deliveries(project) })
  }, [cache, phase, project, state])
  const begin = (fields: Parameters<typeof deliver>[1]) =>
    void act(async () => {
      setBegun((await deliver(project, fields)).id)
      await refreshUnderWay(cache)
    })
  return { operation, begin, refresh: followed.refetch, busy: busy || isUnderWay(operation) }
}

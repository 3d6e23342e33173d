// A quick count under way: its files, the memories it is against, and its count, made once all files are
// read.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { sendFiles } from '../brief/dropping'
import { changeProject } from '../brief/queries'
import type { SendingState } from '../brief/useSending'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Project } from '../shared/types'
import { useAct } from '../shared/useAct'
import { useArrival } from '../shared/useArrival'
import { projectQuery } from '../shared/useProject'
import { finished, makeReport } from './queries'

const EVERY = 700
const NOTHING: SendingState = { share: null, count: 0 }

export interface Quick {
  project?: Project
  sending: SendingState
  busy: boolean
  drop: (files: File[]) => void
  change: (fields: Record<string, unknown>) => void
  count: (memories: number[]) => void
  makeProject: () => void
}

const isRead = (project?: Project) =>
  !project?.documents.some((one) => one.state === 'waiting' || one.state === 'reading')

export function useQuickCount(): Quick {
  const { t } = useTranslation()
  const go = useNavigate()
  const arrival = useArrival('quick-count')
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const [id, setId] = useState<number | null>(null)
  const [sending, setSending] = useState(NOTHING)
  const query = useQuery({
    ...projectQuery(id ?? 0),
    enabled: id !== null,
    refetchInterval: (state) => (isRead(state.state.data) ? false : EVERY),
  })
  const refresh = (project: number) => cache.invalidateQueries({ queryKey: keys.project(project) })
  const drop = (files: File[]) => {
    if (!files.length) return
    void act(async () => {
      try {
        setSending({ share: 0, count: files.length })
        const into = id ?? (await api.post<Project>('/quick_counts')).id
        await sendFiles(into, files, (share) => setSending({ share, count: files.length }))
        setId(into)
        await refresh(into)
      } finally {
        setSending(NOTHING)
      }
    })
  }
  const change = (fields: Record<string, unknown>) =>
    void act(async () => {
      cache.setQueryData(keys.project(id!), await changeProject(id!, fields))
    })
  const count = (memories: number[]) => {
    const arrive = arrival()
    void act(async () => {
      const report = await finished((await makeReport(id!, memories)).id)
      arrive(`/counts/${report.id}`, t('arrival.count'))
    })
  }
  const makeProject = () =>
    void act(async () => {
      await api.patch(`/quick_counts/${id}`)
      await refresh(id!)
      void go(`/projects/${id}/brief`)
    })
  return { project: id === null ? undefined : query.data, sending, busy, drop, change, count, makeProject }
}

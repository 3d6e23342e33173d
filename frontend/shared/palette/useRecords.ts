// Projects, clients, memories and termbases, to be opened by their names.
import { useQueries } from '@tanstack/react-query'
import { useMemo } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { api } from '../api'
import { keys } from '../queryKeys'
import type { ProjectList } from '../types'
import type { Entry } from './usePaletteEntries'

type Named = { id: number; name: string }

const STATES = ['progress', 'delivered', 'finished', 'new']
const KINDS = ['clients', 'memories', 'termbases'] as const

// wanted: nothing is asked for before something is typed.
export function useRecords(wanted: boolean): Entry[] {
  const { t } = useTranslation()
  const go = useNavigate()
  const { found, listed } = useQueries({
    queries: [
      ...STATES.map((state) => ({
        queryKey: keys.projectList(`state=${state}`),
        queryFn: () => api.get<ProjectList>(`/projects?state=${state}`),
        enabled: wanted,
      })),
      ...KINDS.map((kind) => ({
        queryKey: kind === 'memories' ? keys.memories() : keys[kind],
        queryFn: () => api.get<Named[]>(`/${kind}`),
        enabled: wanted,
      })),
    ],
    combine: (all) => ({
      found: STATES.flatMap((state, at) =>
        ((all[at].data as ProjectList)?.projects ?? []).map((project) => ({ ...project, state })),
      ),
      listed: all.slice(STATES.length).map(({ data }) => (data as Named[]) ?? []),
    }),
  })
  return useMemo(
    () => [
      ...found.map(({ id, name, reference, state }) => ({
        name: [reference, name].filter(Boolean).join(' · '),
        run: () => void go(`/projects/${id}/${state === 'new' ? 'brief' : 'translate'}`),
      })),
      ...KINDS.flatMap((kind, at) =>
        listed[at].map(({ id, name }) => ({
          name: `${t(`palette.kinds.${kind}`)}: ${name}`,
          run: () => void go(`/${kind}/${id}`),
        })),
      ),
    ],
    [found, go, listed, t],
  )
}

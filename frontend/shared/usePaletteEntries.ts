// What the command palette offers: commands of the view, places, stages of the project, templates, projects,
// and once something is typed the guide.
import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { api } from './api'
import { commands } from './commands'
import { KEYS, type Command } from './keys'
import { keys } from './queryKeys'
import { stagesOf } from './Stages'
import type { Agenda, Project } from './types'
import { useSettings } from './settings'
import { useAct } from './useAct'
import { briefFrom, useTemplates } from './useTemplates'
import { placesOf } from './YourMenu'

export interface Entry {
  name: string
  keys?: string
  run: () => void
}

export function usePaletteEntries(typed: string, project: Project | undefined, onSheet: () => void): Entry[] {
  const wanted = typed.toLowerCase()
  const named = useNamed(project, onSheet)
  const guide = useGuideEntries(wanted)
  const found = named.filter((entry) => entry.name.toLowerCase().includes(wanted))
  return [...found, ...guide]
}

function useNamed(project: Project | undefined, onSheet: () => void): Entry[] {
  const { t } = useTranslation()
  const go = useNavigate()
  const agenda = useQuery({ queryKey: keys.today, queryFn: () => api.get<Agenda>('/today') })
  const templates = useTemplates()
  const { user } = useSettings()
  const { act } = useAct()
  return useMemo<Entry[]>(
    () => [
      ...commands
        .list()
        .map(([name, run]): Entry => ({ name: t(`commands.${name}`), keys: KEYS[name as Command], run })),
      ...commands.named(),
      { name: t('commands.sheet'), keys: KEYS.sheet, run: onSheet },
      { name: t('app.today'), run: () => void go('/') },
      { name: t('projects.title'), run: () => void go('/projects') },
      { name: t('clients.title'), run: () => void go('/clients') },
      { name: t('app.memories'), run: () => void go('/memories') },
      { name: t('app.termbases'), run: () => void go('/termbases') },
      { name: t('count.quick'), run: () => void go('/count') },
      ...placesOf(user).map(([title, address]) => ({ name: t(title), run: () => void go(address) })),
      ...(project ? stagesOf(project) : []).map((stage) => ({
        name: t(`stages.${stage}`),
        run: () => void go(`/projects/${project!.id}/${stage}`),
      })),
      ...(templates.data ?? []).map(({ id, name }) => ({
        name: t('template.newFrom', { name }),
        run: () => void act(async () => go(await briefFrom(id))),
      })),
      ...(agenda.data?.projects ?? []).map((row) => ({
        name: `${row.reference} · ${row.name}`,
        run: () => void go(`/projects/${row.id}/translate`),
      })),
    ],
    [act, agenda.data, go, onSheet, project, t, templates.data, user],
  )
}

// Sections of the guide that hold the words, in their titles or their texts.
function useGuideEntries(wanted: string): Entry[] {
  const { t } = useTranslation()
  const go = useNavigate()
  const guide = useQuery({
    queryKey: keys.guide,
    queryFn: () => import('../guide/chapters'),
    staleTime: Infinity,
  })
  if (wanted.trim().length < 3) return []
  return (guide.data?.sectionsWith(wanted) ?? []).map(({ chapter, place, title, of }) => ({
    name: of === title ? `${t('guide.title')}: ${title}` : t('guide.entry', { chapter: of, title }),
    run: () => void go(`/guide/${chapter}#${place}`),
  }))
}

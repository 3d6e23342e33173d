// What the palette offers: commands of the view, what is done anywhere, the stages of the project, and by name
// projects, clients, memories, termbases, templates and, once something is typed, sections of the guide.
import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { api } from '../api'
import { commands } from '../commands'
import { KEYS, type Command } from '../keys'
import { keys } from '../queryKeys'
import { useSettings } from '../settings'
import { stagesOf } from '../Stages'
import type { Agenda, Project } from '../types'
import { useAct } from '../useAct'
import { briefFrom, useTemplates } from '../useTemplates'
import { placesOf, signOut } from '../YourMenu'
import { IN_PROJECT, PLACES } from './anywhere'
import { ranked, type Searchable } from './search'
import { useRecords } from './useRecords'

// Its name is that of the list of shortcuts; the page is found as “Change shortcuts”.
const SAME_AS_SHEET = 'keys.title'

export interface Entry extends Searchable {
  keys?: string
  run: () => void
}

export function usePaletteEntries(typed: string, project: Project | undefined, onSheet: () => void): Entry[] {
  const here = useCommands(onSheet)
  const anywhere = useDestinations(project)
  const templates = useTemplateEntries()
  const records = useRecords(typed.trim().length > 1)
  const guide = useGuideEntries(typed)
  return useMemo(() => {
    const taken = new Set(here.map(({ id }) => id).filter(Boolean))
    const own = [...here, ...anywhere.filter(({ id }) => !taken.has(id)), ...templates, ...records]
    return [...ranked(own, typed), ...guide]
  }, [anywhere, guide, here, records, templates, typed])
}

// Those of the view, the switches of the menu, the way out.
function useCommands(onSheet: () => void): Entry[] {
  const { t } = useTranslation()
  const { mode, setMode } = useSettings()
  return useMemo(() => {
    const other = mode === 'dark' ? 'light' : 'dark'
    return [
      ...commands.list().map(([name, run]): Entry => ({
        id: `commands.${name}`,
        name: t(`commands.${name}`),
        keys: KEYS[name as Command],
        run,
      })),
      ...commands.named(),
      { id: 'commands.sheet', name: t('commands.sheet'), keys: KEYS.sheet, run: onSheet },
      {
        id: `app.${other}`,
        name: t('palette.theme', { name: t(`app.${other}`) }),
        run: () => setMode(other),
      },
      { id: 'app.signOut', name: t('app.signOut'), run: signOut },
    ]
  }, [mode, onSheet, setMode, t])
}

function useDestinations(project: Project | undefined): Entry[] {
  const { t } = useTranslation()
  const go = useNavigate()
  const { user } = useSettings()
  const last = useLastProject()
  return useMemo(() => {
    const entry = ([id, address]: readonly [string, string]): Entry => ({
      id,
      name: t(id),
      run: () => void go(address),
    })
    const stages = project ? stagesOf(project).map((stage) => [`stages.${stage}`, stage] as const) : []
    const at = projectOf(project, last)
    const within = at ? IN_PROJECT.map(([id, path]) => [id, `/projects/${at.id}/${path}`] as const) : []
    const named = (one: Entry) => (at && 'name' in at ? { ...one, name: `${one.name} – ${at.name}` } : one)
    return [
      ...stages.map(([id, path]) => entry([id, `/projects/${project!.id}/${path}`])),
      ...[...PLACES, ...placesOf(user).filter(([id]) => id !== SAME_AS_SHEET)].map(entry),
      ...within.map((one) => named(entry(one))),
    ]
  }, [go, last, project, t, user])
}

// What commands within a project are about. Where none is open it is the one that was open last, by its name.
function projectOf(project: Project | undefined, last: { id: number; name: string } | null) {
  if (!project) return last
  return project.begun_at ? { id: project.id } : null
}

function useLastProject() {
  const { data } = useQuery({ queryKey: keys.today, queryFn: () => api.get<Agenda>('/today') })
  const resume = data?.resume
  return useMemo(() => (resume ? { id: resume.project_id, name: resume.name } : null), [resume])
}

function useTemplateEntries(): Entry[] {
  const { t } = useTranslation()
  const go = useNavigate()
  const templates = useTemplates()
  const { act } = useAct()
  return useMemo(
    () =>
      (templates.data ?? []).map(({ id, name }) => ({
        name: t('template.newFrom', { name }),
        run: () => void act(async () => go(await briefFrom(id))),
      })),
    [act, go, t, templates.data],
  )
}

// Sections of the guide that match, by their titles or their texts.
function useGuideEntries(typed: string): Entry[] {
  const { t } = useTranslation()
  const go = useNavigate()
  const guide = useQuery({
    queryKey: keys.guide,
    queryFn: () => import('../../guide/chapters'),
    staleTime: Infinity,
  })
  return useMemo(() => {
    if (typed.trim().length < 3) return []
    return (guide.data?.sectionsWith(typed) ?? []).map(({ chapter, place, title, of }) => ({
      name: of === title ? `${t('guide.title')}: ${title}` : t('guide.entry', { chapter: of, title }),
      run: () => void go(`/guide/${chapter}#${place}`),
    }))
  }, [go, guide.data, t, typed])
}

// What the page of rules asks of the server, and what it keeps there.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Project, RuleGroup, RuleTrial, Ruling } from '../shared/types'
import { useAct } from '../shared/useAct'
import { useSegmentationPreview } from '../shared/useSegmentationPreview'
import { projectQuery } from '../shared/useProject'

// Whose rules: a project's, a client's for new projects, or those for all that have none of their own ('').
export type RulesOwner = '' | `/projects/${number}` | `/clients/${number}`
export function kindOf(owner: RulesOwner) {
  if (owner.startsWith('/projects')) return 'project'
  return owner ? 'client' : 'all'
}
export const rulesFile = (owner: RulesOwner) => `/api${owner}/rules?as=srx`

export const useProjectOfRules = (id?: number) =>
  useQuery({ ...projectQuery(id ?? 0), enabled: id !== undefined })

export const useRuling = (owner: RulesOwner) =>
  useQuery({
    queryKey: keys.rules(owner),
    queryFn: () => api.get<Ruling>(`${owner}/rules`),
    refetchOnMount: 'always',
    gcTime: 0,
  })

export interface Tried {
  groups: RuleGroup[]
  text: string
  language: string
}
export const tryRules = (owner: RulesOwner, tried: Tried) =>
  api.post<RuleTrial>(`${owner}/rule_trials`, tried)

// Saves rules; for a project in progress after a preview of the effect.
export function useSaveRules(owner: RulesOwner, project: Project | undefined, onKept: () => void) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const cache = useQueryClient()
  const look = useSegmentationPreview(project?.id ?? 0)
  const { act, busy } = useAct()
  const say = (text: string) => void message.success(text)
  const settled = (ruling: Ruling) => {
    onKept()
    cache.setQueryData(keys.rules(owner), ruling)
    say(t(`rules.kept.${kindOf(owner)}`))
  }
  const put = (body: FormData | { groups: RuleGroup[] }) =>
    void act(async () => {
      if (project?.begun_at && !(await look(body))) return
      settled(await api.patch<Ruling>(`${owner}/rules`, body))
    })
  return {
    busy,
    keep: (groups: RuleGroup[]) => put({ groups }),
    bring: (file: File) => {
      const form = new FormData()
      form.append('file', file)
      put(form)
    },
    keepForAll: (groups: RuleGroup[]) =>
      void act(async () => {
        await api.patch<Ruling>('/rules', { groups })
        say(t('rules.kept.all'))
      }),
    drop: () => void act(async () => settled(await api.delete<Ruling>(`${owner}/rules`))),
  }
}

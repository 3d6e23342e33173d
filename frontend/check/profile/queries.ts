// Profiles of checks: what is asked of the server, kept there, and tried there.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { App } from 'antd'
import { api } from '../../shared/api'
import { keys } from '../../shared/queryKeys'
import { useAct } from '../../shared/useAct'
import type { Level, Span } from '../queries'

export type Severity = Level | 'off'
export type ParameterValue = number | string
export interface CheckKind {
  code: string
  group: string
  level: Severity
  parameters: Record<string, ParameterValue>
}
export interface OwnRule {
  name: string
  target: string
  message: string
  source?: string
  way?: 'must-not' | 'must' | 'as-often'
  level?: Level
  unless?: string
  replace?: string
  case?: boolean
  languages?: string[]
}
export type Changed = { level?: Severity } & Record<string, ParameterValue | undefined>
export interface Given {
  checks?: Record<string, Changed>
  own?: OwnRule[]
}
export interface Profile {
  from: 'project' | 'client' | 'default'
  client: string | null
  given: Given
  checks: CheckKind[]
  languages: string[]
}
export interface Trial {
  findings: { message: string; source: Span[]; target: Span[] }[]
  count: number | null
  examples: { number: number; source: string; target: string }[]
  given_up: boolean
}
// Whose profile.
export type ProfileOwner = `/projects/${number}` | `/clients/${number}`

export const profileFile = (owner: ProfileOwner) => `/api${owner}/check_profile?as=file`

export const useProfile = (owner: ProfileOwner) =>
  useQuery({
    queryKey: keys.checkProfile(owner),
    queryFn: () => api.get<Profile>(`${owner}/check_profile`),
    refetchOnMount: 'always',
  })

export function useKeepProfile(owner: ProfileOwner) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const take = (asking: Promise<Profile>) =>
    void act(async () => {
      cache.setQueryData(keys.checkProfile(owner), await asking)
      void message.success(t('check.profile.kept'))
    })
  const path = `${owner}/check_profile`
  return {
    busy,
    keep: (profile: Given) => take(api.patch(path, { profile })),
    keepForClient: (profile: Given) =>
      take(api.patch(path, { profile }).then(() => api.patch<Profile>(path, { for_client: true }))),
    drop: () => take(api.delete(path)),
  }
}

// What a file would change.
export interface ProfilePreview {
  given: Given
  changes: {
    checks: [code: string, now: Changed, then: Changed][]
    added: string[]
    removed: string[]
    changed: string[]
  }
}
export function previewProfile(owner: ProfileOwner, file: File) {
  const form = new FormData()
  form.append('file', file)
  return api.post<ProfilePreview>(`${owner}/check_profile`, form)
}

export interface Tried {
  rule: OwnRule
  source: string
  target: string
  source_lang: string
  target_lang: string
}
export const tryRule = (owner: ProfileOwner, tried: Tried) => api.post<Trial>(`${owner}/check_trials`, tried)

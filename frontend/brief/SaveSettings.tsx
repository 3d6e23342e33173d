// Saves what is set in a project: for the client, as a template, or as an archive.
import { useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { ExportLink } from '../operations/ExportLink'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Project, Template } from '../shared/types'
import { useOffer } from '../shared/useOffer'
import type { Attempt } from './useChanges'

export function SaveSettings({ project, attempt }: { project: Project; attempt: Attempt }) {
  const { t } = useTranslation()
  const go = useNavigate()
  const cache = useQueryClient()
  const { message } = App.useApp()
  const offer = useOffer('template')
  const forClient = () =>
    attempt(async () => {
      await api.patch(`/clients/${project.client_id}`, { keep_from: project.id })
      void message.success(t('template.keptFor', { client: project.client }))
    })
  const asTemplate = () =>
    attempt(async () => {
      const made = await api.post<Template>(`/projects/${project.id}/templates`, { name: project.name })
      await cache.invalidateQueries({ queryKey: keys.templates })
      offer(
        t('template.made', { name: made.name }),
        t('template.edit'),
        () => void go(`/projects/${made.id}/brief`),
      )
    })
  return (
    <p className="small presses keeping">
      {project.client && (
        <button type="button" className="plain-link" onClick={forClient}>
          {t('template.keepFor', { client: project.client })}
        </button>
      )}
      {project.kind !== 'template' && project.target_lang && (
        <button type="button" className="plain-link" onClick={asTemplate}>
          {t('template.save')}
        </button>
      )}
      {project.kind !== 'template' && project.begun_at && (
        <ExportLink
          className="plain-link"
          path={`/projects/${project.id}/archive`}
          title={t('handOver.archiveHint')}
        >
          {t('handOver.asArchive')}
        </ExportLink>
      )}
    </p>
  )
}

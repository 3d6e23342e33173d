// A template: a brief begun from it with one press, or put away.
import { useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import type { Project } from '../shared/types'
import { useAct } from '../shared/useAct'
import { briefFrom } from '../shared/useTemplates'

export function UseTemplate({ template }: { template: Project }) {
  const { t } = useTranslation()
  const go = useNavigate()
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const begin = () =>
    void act(async () => {
      void go(await briefFrom(template.id))
    })
  const remove = () =>
    void act(async () => {
      await api.delete(`/projects/${template.id}`)
      await cache.invalidateQueries({ queryKey: keys.templates })
      void go('/')
    })
  return (
    <>
      <Button type="primary" size="large" block className="begin" loading={busy} onClick={begin}>
        {t('template.use')}
      </Button>
      <p className="small presses keeping">
        <button type="button" className="plain-link" onClick={remove}>
          {t('template.delete')}
        </button>
      </p>
    </>
  )
}

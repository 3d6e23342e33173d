// The one main action of a brief: to begin, once what was changed is kept; and, where files could not be
// read, a word on what would stay out.
import { App, Button } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { ApiError, api } from '../shared/api'
import { commands } from '../shared/commands'
import { keys } from '../shared/queryKeys'
import type { Project } from '../shared/types'

interface Props {
  project: Project
  ready: boolean
  settled: () => Promise<unknown>
}

export function Begin({ project, ready, settled }: Props) {
  const { t } = useTranslation()
  const go = useNavigate()
  const cache = useQueryClient()
  const { message } = App.useApp()
  const [beginning, setBeginning] = useState(false)
  const [leaves, setLeaves] = useState('')
  const translate = () => void go(`/projects/${project.id}/translate`)
  const begin = async (without_unread: boolean) => {
    setBeginning(true)
    try {
      await settled()
      const begun = await api.post<Project>(`/projects/${project.id}/beginning`, { without_unread })
      cache.setQueryData(keys.project(project.id), begun)
      translate()
    } catch (error) {
      setBeginning(false)
      if (error instanceof ApiError && error.code === 'leaves-out') setLeaves(error.message)
      else void message.error((error as Error).message)
    }
  }
  const now = useRef(begin)
  useEffect(() => {
    now.current = begin
  })
  const offered = ready && !project.begun_at
  useEffect(() => {
    if (offered) return commands.offerNamed([{ name: t('brief.begin'), run: () => void now.current(false) }])
  }, [offered, t])
  if (project.begun_at)
    return (
      <Button type="primary" size="large" block className="begin" onClick={translate}>
        {t('brief.goTranslate')}
      </Button>
    )
  if (leaves)
    return (
      <div className="leaves-out" role="alert">
        <p>{leaves}</p>
        <p className="small quiet">{t('brief.stillLater')}</p>
        <div className="acts">
          <Button type="primary" loading={beginning} onClick={() => void begin(true)}>
            {t('brief.beginWithout')}
          </Button>
          <button type="button" className="link" onClick={() => setLeaves('')}>
            {t('brief.notYet')}
          </button>
        </div>
      </div>
    )
  return (
    <Button
      type="primary"
      size="large"
      block
      className="begin"
      loading={beginning}
      disabled={!ready}
      onClick={() => void begin(false)}
    >
      {t('brief.begin')}
    </Button>
  )
}

// The memories of a translator: their size and languages, units in and out, what is being done to them.
import { useQuery } from '@tanstack/react-query'
import { App, Button, Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { api } from '../shared/api'
import { Failure, Frame, Waiting } from '../shared/Frame'
import { fullDate, number } from '../shared/i18n'
import { languageName, languageOptions } from '../shared/languages'
import { ChoiceInPlace } from '../shared/parts'
import type { Memory } from '../shared/types'
import { BringIn, Running, useAttempt } from './acts'

export function Memories() {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const [fresh, setFresh] = useState<{
    name: string
    source_lang: string | null
    target_lang: string | null
  } | null>(null)
  const memories = useQuery({
    queryKey: ['memories'],
    queryFn: () => api.get<Memory[]>('/memories'),
    refetchOnMount: 'always',
    refetchInterval: (query) => (query.state.data?.some((memory) => memory.busy.length) ? 700 : false),
  })
  const attempt = useAttempt(() => memories.refetch())
  const remove = (memory: Memory) =>
    attempt(
      api.delete(`/memories/${memory.id}`).then(
        () =>
          void message.open({
            key: 'removed',
            type: 'info',
            icon: <span />,
            duration: 12,
            content: (
              <>
                {t('memories.removed', { name: memory.name })}{' '}
                <button
                  type="button"
                  className="link"
                  onClick={() => {
                    message.destroy('removed')
                    attempt(api.patch(`/memories/${memory.id}`, { deleted: false }))
                  }}
                >
                  {t('memories.undo')}
                </button>
              </>
            ),
          }),
      ),
    )
  return (
    <Frame>
      {memories.error && !memories.data ? (
        <Failure error={memories.error} again={() => void memories.refetch()} />
      ) : !memories.data ? (
        <Waiting />
      ) : (
        <div className="sheet-view">
          <h1>{t('memories.title')}</h1>
          <p className="quiet">{memories.data.length ? t('memories.lead') : t('memories.empty')}</p>
          <ul className="lines">
            {memories.data.map((memory) => (
              <li key={memory.id} className="line memory-line">
                <div style={{ flex: 1, minWidth: 0 }}>
                  <h2 className="reading">
                    <Link className="plain-link" to={`/memories/${memory.id}`}>
                      {memory.name}
                    </Link>
                  </h2>
                  <p className="small quiet">
                    {languageName(memory.source_lang)} → {languageName(memory.target_lang)} ·{' '}
                    <span className="tab">
                      {t('brief.units', { count: memory.units, units: number(memory.units) })}
                    </span>
                    {memory.projects > 0 && ` · ${t('memories.projects', { count: memory.projects })}`} ·{' '}
                    {memory.used_at
                      ? t('memories.used', { date: fullDate(memory.used_at) })
                      : t('memories.changed', { date: fullDate(memory.updated_at) })}
                    {memory.description && ` · ${memory.description}`}
                  </p>
                  {memory.busy.map((change) => (
                    <Running key={change.id} change={change} attempt={attempt} />
                  ))}
                </div>
                <BringIn memory={memory} attempt={attempt} />
                <a className="link small" href={`/api/memories/${memory.id}/exchange`} download>
                  {t('memories.export')}
                </a>
                <button
                  type="button"
                  className="quiet small"
                  aria-label={`${t('memories.remove')}: ${memory.name}`}
                  onClick={() => remove(memory)}
                >
                  {t('memories.remove')}
                </button>
              </li>
            ))}
            <li>
              {fresh ? (
                <form
                  style={{ display: 'flex', gap: 14, alignItems: 'center', flexWrap: 'wrap' }}
                  onSubmit={(event) => {
                    event.preventDefault()
                    attempt(api.post('/memories', fresh).then(() => setFresh(null)))
                  }}
                >
                  <Input
                    autoFocus
                    required
                    style={{ width: 260 }}
                    placeholder={t('memories.name')}
                    aria-label={t('memories.name')}
                    value={fresh.name}
                    onChange={(event) => setFresh({ ...fresh, name: event.target.value })}
                  />
                  <span style={{ minWidth: 150 }}>
                    <ChoiceInPlace
                      label={t('brief.from')}
                      blank={`${t('brief.from')} …`}
                      value={fresh.source_lang}
                      options={languageOptions}
                      onChange={(source_lang) => setFresh({ ...fresh, source_lang })}
                    />
                  </span>
                  <span style={{ minWidth: 150 }}>
                    <ChoiceInPlace
                      label={t('brief.into')}
                      blank={`${t('brief.into')} …`}
                      value={fresh.target_lang}
                      options={languageOptions}
                      onChange={(target_lang) => setFresh({ ...fresh, target_lang })}
                    />
                  </span>
                  <Button
                    type="primary"
                    htmlType="submit"
                    disabled={!fresh.name.trim() || !fresh.source_lang || !fresh.target_lang}
                  >
                    {t('memories.make')}
                  </Button>
                </form>
              ) : (
                <button
                  type="button"
                  className="link"
                  onClick={() => setFresh({ name: '', source_lang: null, target_lang: null })}
                >
                  {t('memories.new')}
                </button>
              )}
            </li>
          </ul>
        </div>
      )}
    </Frame>
  )
}

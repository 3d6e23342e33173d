// The server of a client: where it is, whether it answers, its key; what it offers stands on Today.
import { Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { fullDate, time } from '../shared/i18n'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { ClientServer } from '../shared/types'
import { useAct } from '../shared/useAct'
import { addServer, changeServer, dropServer, useServers } from './queries'
import './servers.css'

type Attempt = (work: () => Promise<unknown>) => Promise<unknown>

export function Servers({ client }: { client: number }) {
  const { t } = useTranslation()
  const { data = [], refetch } = useServers(client)
  const { act, busy } = useAct()
  const attempt: Attempt = (work) =>
    act(async () => {
      await work()
      await refetch()
      return true
    })
  return (
    <section className="servers" aria-label={t('servers.title')}>
      <h2>{t('servers.title')}</h2>
      {data.map((server) => (
        <ServerLine key={server.id} server={server} attempt={attempt} />
      ))}
      <AddServer client={client} attempt={attempt} busy={busy} />
    </section>
  )
}

function ServerLine({ server, attempt }: { server: ClientServer; attempt: Attempt }) {
  const { t } = useTranslation()
  const { id, name, address, asked_at, trouble } = server
  return (
    <div className="small">
      <b>{name}</b>{' '}
      <TextInPlace
        value={address}
        blank={t('servers.address')}
        label={t('servers.address')}
        onChange={(value) => void attempt(() => changeServer(id, { address: value }))}
      />
      <p className={trouble ? 'alarm' : 'quiet'}>
        {trouble ?? (asked_at && t('remote.tested', { date: fullDate(asked_at), time: time(asked_at) }))}
        {' · '}
        <TextInPlace
          value=""
          blank={t('remote.newKey')}
          label={t('remote.newKey')}
          onChange={(key) => void attempt(() => changeServer(id, { key }))}
        />
        {' · '}
        <button
          type="button"
          className="plain-link"
          aria-label={`${t('servers.drop')}: ${name}`}
          onClick={() => void attempt(() => dropServer(id))}
        >
          {t('servers.drop')}
        </button>
      </p>
    </div>
  )
}

interface Adding {
  client: number
  attempt: Attempt
  busy: boolean
}

function AddServer({ client, attempt, busy }: Adding) {
  const { t } = useTranslation()
  const [fields, setFields] = useState<{ address: string; key: string } | null>(null)
  if (!fields)
    return (
      <button type="button" className="plain-link small" onClick={() => setFields({ address: '', key: '' })}>
        {t('servers.add')}
      </button>
    )
  return (
    <form
      className="server-form"
      onSubmit={(event) => {
        event.preventDefault()
        void attempt(() => addServer(client, fields)).then((done) => done && setFields(null))
      }}
    >
      <Input
        autoFocus
        size="small"
        inputMode="url"
        aria-label={t('servers.address')}
        placeholder={t('servers.address')}
        value={fields.address}
        onChange={(event) => setFields({ ...fields, address: event.target.value })}
      />
      <Input.Password
        size="small"
        autoComplete="off"
        aria-label={t('servers.key')}
        placeholder={t('servers.key')}
        value={fields.key}
        onChange={(event) => setFields({ ...fields, key: event.target.value })}
      />
      <button type="submit" className="link" disabled={busy || !fields.address.trim()}>
        {t('servers.addNow')}
      </button>
      <button type="button" className="quiet-link" onClick={() => setFields(null)}>
        {t('remote.leave')}
      </button>
    </form>
  )
}

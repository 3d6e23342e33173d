// The clients, one per line, and the default rates.
import { Button, Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useNavigate } from 'react-router'
import { makeClient, useClients } from '../brief/queries'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { useAct } from '../shared/useAct'
import { RateCards } from './RateCards'
import './clients.css'

export function Clients() {
  const { t } = useTranslation()
  const list = useClients()
  if (!list.data)
    return (
      <Frame>
        {list.error ? <Failure error={list.error} again={() => void list.refetch()} /> : <Waiting />}
      </Frame>
    )
  return (
    <Frame>
      <div className="clients">
        <section>
          <h1>{t('clients.title')}</h1>
          {list.data.length ? (
            <ul className="client-list">
              {list.data.map((client) => (
                <li key={client.id}>
                  <Link to={`/clients/${client.id}`}>{client.name}</Link>
                  <span className="quiet small">{client.code}</span>
                </li>
              ))}
            </ul>
          ) : (
            <p className="quiet">{t('clients.none')}</p>
          )}
          <AddClient />
        </section>
        <aside>
          <RateCards client={null} />
        </aside>
      </div>
    </Frame>
  )
}

function AddClient() {
  const { t } = useTranslation()
  const go = useNavigate()
  const { act, busy } = useAct()
  const [name, setName] = useState('')
  const add = () =>
    void act(async () => {
      const client = await makeClient(name.trim())
      void go(`/clients/${client.id}`)
    })
  return (
    <p className="add-client">
      <Input
        value={name}
        placeholder={t('clients.addHint')}
        aria-label={t('clients.addHint')}
        onChange={(event) => setName(event.target.value)}
        onPressEnter={() => name.trim() && add()}
      />
      <Button loading={busy} disabled={!name.trim()} onClick={add}>
        {t('clients.add')}
      </Button>
    </p>
  )
}

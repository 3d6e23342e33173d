// A client: all that is set up once for the work with them. What is set here is what a brief proposes.
import { useTranslation } from 'react-i18next'
import { Link, useNavigate, useParams } from 'react-router'
import { useQueryClient } from '@tanstack/react-query'
import { ProjectTermbases } from '../brief/ProjectTermbases'
import { QuoteList } from '../count/QuoteLines'
import { useQuotes } from '../count/queries'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { Servers } from '../servers/Servers'
import { keys } from '../shared/queryKeys'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { ClientPage } from '../shared/types'
import { useAct } from '../shared/useAct'
import { useOffer } from '../shared/useOffer'
import { api } from '../shared/api'
import { ForQuotes } from './ForQuotes'
import { ForWork } from './ForWork'
import { People } from './People'
import { putClientAway, useClient, useClientChange, type ChangeClient } from './queries'
import { RateCards } from './RateCards'
import { StandingMemories } from './StandingMemories'
import './clients.css'

export function Client() {
  const id = Number(useParams().id)
  const query = useClient(id)
  const change = useClientChange(id)
  const { act } = useAct()
  const client = query.data
  if (!client)
    return (
      <Frame>
        {query.error ? <Failure error={query.error} again={() => void query.refetch()} /> : <Waiting />}
      </Frame>
    )
  return (
    <Frame>
      <div className="client">
        <Head client={client} change={change} />
        <div className="columns">
          <section>
            <People client={client} change={change} />
            <Servers client={client.id} />
            <ForWork client={client} change={change} />
            <StandingMemories client={client} change={change} />
            <ProjectTermbases rows={client.termbases} change={change} attempt={(work) => void act(work)} />
          </section>
          <section>
            <RateCards client={client.id} />
            <ForQuotes client={client} change={change} />
            <Quotes client={client} />
          </section>
        </div>
      </div>
    </Frame>
  )
}

function Head({ client, change }: { client: ClientPage; change: ChangeClient }) {
  const { t } = useTranslation()
  return (
    <header>
      <h1>
        <TextInPlace
          label={t('clients.name')}
          blank={t('clients.name')}
          value={client.name}
          onChange={(name) => change({ name })}
        />
      </h1>
      <p className="quiet">
        {t('clients.code')}{' '}
        <TextInPlace
          label={t('clients.code')}
          blank={t('clients.code')}
          value={client.code}
          onChange={(code) => change({ code })}
        />{' '}
        · {t('clients.work', { count: client.work.projects })} ·{' '}
        <Link className="plain-link" to="/clients">
          {t('clients.all')}
        </Link>{' '}
        · <PutClientAway client={client} />
      </p>
    </header>
  )
}

function PutClientAway({ client }: { client: ClientPage }) {
  const { t } = useTranslation()
  const go = useNavigate()
  const cache = useQueryClient()
  const { act } = useAct()
  const offer = useOffer('client-away')
  const refresh = () => cache.invalidateQueries({ queryKey: keys.clients })
  const bringBack = () =>
    void act(async () => {
      const { items } = await api.get<{ items: { kind: string; id: number; name: string }[] }>('/trash_items')
      const gone = items.find((item) => item.kind === 'client' && item.name === client.name)
      if (gone) await api.patch(`/trash_items/client-${gone.id}`)
      await refresh()
      void go(`/clients/${client.id}`)
    })
  const putAway = () =>
    void act(async () => {
      await putClientAway(client.id)
      await refresh()
      void go('/clients')
      offer(t('clients.away', { name: client.name }), t('brief.bringBack'), bringBack)
    })
  return (
    <button type="button" className="plain-link" onClick={putAway}>
      {t('today.remove')}
    </button>
  )
}

const Quotes = ({ client }: { client: ClientPage }) => (
  <QuoteList quotes={useQuotes({ client_id: client.id }).data ?? []} />
)

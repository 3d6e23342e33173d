// The termbases of a translator: what they hold, in which languages, for whom.
import { Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { api } from '../shared/api'
import { Frame } from '../shared/Frame'
import { number } from '../shared/i18n'
import { languageName } from '../shared/languages'
import { Failure, Waiting } from '../shared/Notices'
import { makeTermbase, useTermbases } from '../shared/termbases'
import type { Termbase } from '../shared/types'
import { useAct } from '../shared/useAct'
import { AttachRemote } from '../remote/AttachRemote'
import { Offered } from '../sharing/Offered'
import './termbases.css'

type Work = (work: () => Promise<unknown>) => void

export function Termbases() {
  const { t } = useTranslation()
  const termbases = useTermbases()
  const { act } = useAct()
  const attempt: Work = (work) =>
    void act(async () => {
      await work()
      await termbases.refetch()
    })
  const { data, error } = termbases
  if (!data) {
    const again = () => void termbases.refetch()
    return <Frame>{error ? <Failure error={error} again={again} /> : <Waiting />}</Frame>
  }
  return (
    <Frame>
      <div className="sheet-view">
        <h1>{t('termbases.title')}</h1>
        <p className="quiet">{t(data.length ? 'termbases.lead' : 'termbases.empty')}</p>
        <Offered kind="termbase" onTaken={() => termbases.refetch()} />
        <ul className="lines">
          {data.map((termbase) => (
            <Line key={termbase.id} termbase={termbase} attempt={attempt} />
          ))}
          <li>
            <NewTermbase attempt={attempt} />
          </li>
          <li>
            <AttachRemote kind="termbase" onAttached={() => termbases.refetch()} />
          </li>
        </ul>
      </div>
    </Frame>
  )
}

function Line({ termbase, attempt }: { termbase: Termbase; attempt: Work }) {
  const { t } = useTranslation()
  const about = [
    t('termbases.entries', { count: termbase.entries, entries: number(termbase.entries) }),
    ...termbase.languages.map(languageName),
    termbase.client,
    termbase.remote && t('remote.on', { server: termbase.remote.server }),
  ]
  return (
    <li className="termbase-line">
      <div>
        <h2>
          <Link className="plain-link" to={`/termbases/${termbase.id}`}>
            {termbase.name}
          </Link>
        </h2>
        <p className="small quiet">{about.filter(Boolean).join(' · ')}</p>
      </div>
      {termbase.right === 'own' ? (
        <button
          type="button"
          className="small plain-link"
          onClick={() => attempt(() => api.delete(`/termbases/${termbase.id}`))}
        >
          {t('termbases.delete')}
        </button>
      ) : (
        <span className="small quiet">
          {t(`sharing.given.${termbase.right}`, { owner: termbase.owner ?? '' })}
        </span>
      )}
    </li>
  )
}

function NewTermbase({ attempt }: { attempt: Work }) {
  const { t } = useTranslation()
  const [name, setName] = useState<string | null>(null)
  if (name === null)
    return (
      <button type="button" className="link" onClick={() => setName('')}>
        {t('termbases.new')}
      </button>
    )
  const make = () =>
    attempt(async () => {
      await makeTermbase(name)
      setName(null)
    })
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        if (name.trim()) make()
      }}
    >
      <Input
        autoFocus
        className="new-termbase"
        placeholder={t('termbases.name')}
        aria-label={t('termbases.name')}
        value={name}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && setName(null)}
      />
    </form>
  )
}

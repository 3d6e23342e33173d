// The keys by which other servers reach a memory or termbase: created, listed, revoked. A key is shown once.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { fullDate, number } from '../shared/i18n'
import type { RemoteKey } from '../shared/types'
import { useAct } from '../shared/useAct'
import { KeyForm } from './KeyForm'
import { makeKey, useRemoteKeys, withdrawKey, type Kind, type MadeKey, type NewKey } from './queries'
import './remote.css'

interface Props {
  kind: Kind
  id: number
}

export function Keys({ kind, id }: Props) {
  const { t } = useTranslation()
  const { data = [], refetch } = useRemoteKeys(kind, id)
  const [made, setMade] = useState<MadeKey | null>(null)
  const { act } = useAct()
  const make = (fields: NewKey) =>
    act(async () => {
      setMade(await makeKey(kind, id, fields))
      await refetch()
      return true
    })
  const withdraw = (key: number) =>
    void act(async () => {
      await withdrawKey(key)
      if (made?.id === key) setMade(null)
      await refetch()
    })
  return (
    <section className="remote-keys small" aria-label={t('remote.keys')}>
      {data.length > 0 && (
        <ul>
          {data.map((one) => (
            <Line key={one.id} one={one} onWithdraw={() => withdraw(one.id)} />
          ))}
        </ul>
      )}
      {made && (
        <p className="made-key" role="status">
          {t('remote.made')} <code>{made.key}</code> {t('remote.madeAt')} <code>{made.address}</code>
        </p>
      )}
      <KeyForm onMake={make} />
    </section>
  )
}

function Line({ one, onWithdraw }: { one: RemoteKey; onWithdraw: () => void }) {
  const { t } = useTranslation()
  const about = [
    t(`remote.may.${one.may}`),
    t('remote.perMinute', { count: one.per_minute }),
    one.until_on && t('sharing.until', { date: fullDate(one.until_on) }),
    one.used_at
      ? t('remote.used', { count: one.asked, asked: number(one.asked), date: fullDate(one.used_at) })
      : t('remote.unused'),
  ]
  return (
    <li>
      <b>{one.name}</b>{' '}
      <span className="quiet">
        … {one.ending} · {about.filter(Boolean).join(' · ')}
      </span>{' '}
      <button
        type="button"
        className="link"
        aria-label={`${t('remote.withdraw')}: ${one.name}`}
        onClick={onWithdraw}
      >
        {t('remote.withdraw')}
      </button>
    </li>
  )
}

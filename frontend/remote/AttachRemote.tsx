// A memory or termbase of another server: where it is and the key, what is there, and which of it is
// attached.
import { Button, Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useAct } from '../shared/useAct'
import { ChooseHeld } from './ChooseHeld'
import { tryServer, type Kind, type Server } from './queries'
import './remote.css'

interface Props {
  kind: Kind
  onAttached: () => Promise<unknown>
}
const NOWHERE = { address: '', key: '' }

export function AttachRemote({ kind, onAttached }: Props) {
  const { t } = useTranslation()
  const [where, setWhere] = useState<typeof NOWHERE | null>(null)
  const [server, setServer] = useState<Server | null>(null)
  const { act, busy } = useAct()
  const leave = () => {
    setWhere(null)
    setServer(null)
  }
  if (!where)
    return (
      <button type="button" className="link" onClick={() => setWhere(NOWHERE)}>
        {t(`remote.attach.${kind}`)}
      </button>
    )
  const ask = () => void act(async () => setServer(await tryServer(where.address, where.key)))
  const set = (fields: Partial<typeof NOWHERE>) => {
    setWhere({ ...where, ...fields })
    setServer(null)
  }
  return (
    <section className="attach-remote" aria-label={t(`remote.attach.${kind}`)}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          ask()
        }}
      >
        <Input
          autoFocus
          required
          inputMode="url"
          aria-label={t('remote.address')}
          placeholder={t('remote.addressLike')}
          value={where.address}
          onChange={(event) => set({ address: event.target.value })}
        />
        <Input.Password
          autoComplete="off"
          aria-label={t('remote.key')}
          placeholder={t('remote.key')}
          value={where.key}
          onChange={(event) => set({ key: event.target.value })}
        />
        <Button htmlType="submit" loading={busy} disabled={!where.address.trim()}>
          {t('remote.ask')}
        </Button>
        <button type="button" className="quiet-link" onClick={leave}>
          {t('remote.leave')}
        </button>
      </form>
      {server && (
        <ChooseHeld
          {...{ kind, server, where }}
          onAttached={async () => {
            leave()
            await onAttached()
          }}
        />
      )}
    </section>
  )
}

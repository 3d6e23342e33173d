// What a server holds of a kind, each with its languages, size and right, to be attached.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { languageName } from '../shared/languages'
import { useAct } from '../shared/useAct'
import { attachRemote, type HeldThere, type Kind, type Server } from './queries'

interface Props {
  kind: Kind
  server: Server
  where: { address: string; key: string }
  onAttached: () => Promise<unknown>
}

export function ChooseHeld({ kind, server, where, onAttached }: Props) {
  const { t } = useTranslation()
  const { act } = useAct()
  const held = server.items.filter((item) => item.kind === kind)
  const attach = (item: HeldThere, writes: boolean) =>
    void act(async () => {
      await attachRemote({ kind, ...where, ref: item.id, name: item.name, writes })
      await onAttached()
    })
  return (
    <div role="status" ref={(node) => node?.scrollIntoView({ block: 'nearest' })}>
      <p className="small quiet">
        {t(held.length ? 'remote.answers' : 'remote.answersNothing', {
          server: server.server,
          count: held.length,
        })}
      </p>
      <ul className="held-there">
        {held.map((item) => (
          <Held key={item.id} item={item} onAttach={attach} />
        ))}
      </ul>
    </div>
  )
}

function Held({ item, onAttach }: { item: HeldThere; onAttach: (item: HeldThere, writes: boolean) => void }) {
  const { t } = useTranslation()
  const [writes, setWrites] = useState(false)
  const { name, languages, size, may, kind } = item
  const tags = languages.map(languageName).join(kind === 'memory' ? ' → ' : ' · ')
  return (
    <li>
      <span className="what">
        <b>{name}</b>
        <span className="small quiet tab">
          {tags} · {t(`remote.sizes.${kind}`, { count: size, size: number(size) })} · {t(`remote.may.${may}`)}
        </span>
      </span>
      {may === 'write' && (
        <label className="small">
          <input type="checkbox" checked={writes} onChange={(event) => setWrites(event.target.checked)} />{' '}
          {t(`remote.writes.${kind}`)}
        </label>
      )}
      <button
        type="button"
        className="link"
        aria-label={`${t('remote.take')}: ${name}`}
        onClick={() => onAttach(item, writes)}
      >
        {t('remote.take')}
      </button>
    </li>
  )
}

// Of a memory or termbase on another server: where it is, what that server says, whether it is written to,
// and what is still on its way there.
import { useTranslation } from 'react-i18next'
import { fullDate, number, time } from '../shared/i18n'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { RemoteSource } from '../shared/types'
import { useAct } from '../shared/useAct'
import { changeRemote, tryAgain, type Kind } from './queries'
import './remote.css'

interface Props {
  kind: Kind
  source: RemoteSource
  onChanged: () => Promise<unknown>
}

export function WhereItIs({ kind, source, onChanged }: Props) {
  const { t } = useTranslation()
  const { act } = useAct()
  const attempt = (work: () => Promise<unknown>) =>
    void act(async () => {
      await work()
      await onChanged()
    })
  const { id, server, address, size, may, writes, tested_at, waiting, refused } = source
  return (
    <section className="where-it-is small" aria-label={t('remote.where')}>
      <p>
        {t('remote.on', { server })}
        {' · '}
        <TextInPlace
          value={address}
          blank={t('remote.address')}
          label={t('remote.address')}
          onChange={(value) => attempt(() => changeRemote(id, { address: value }))}
        />
      </p>
      <p className="quiet tab">
        {t(`remote.sizes.${kind}`, { count: size, size: number(size) })} · {t(`remote.may.${may}`)}
        {tested_at && ` · ${t('remote.tested', { date: fullDate(tested_at), time: time(tested_at) })}`}
        {' · '}
        <button type="button" className="link" onClick={() => attempt(() => tryAgain(id))}>
          {t('remote.again')}
        </button>
        {' · '}
        <TextInPlace
          value=""
          blank={t('remote.newKey')}
          label={t('remote.newKey')}
          onChange={(key) => attempt(() => changeRemote(id, { key }))}
        />
      </p>
      {may === 'write' && (
        <label>
          <input
            type="checkbox"
            checked={writes}
            onChange={(event) => attempt(() => changeRemote(id, { writes: event.target.checked }))}
          />{' '}
          {t(`remote.writesThere.${kind}`)}
        </label>
      )}
      {waiting > 0 && <p role="status">{t('remote.waiting', { count: waiting })}</p>}
      {refused && <p className="alarm">{refused}</p>}
    </section>
  )
}

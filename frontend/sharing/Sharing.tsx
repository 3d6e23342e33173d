// Who has a memory or a termbase: for its owner, with what each may do, and the way to give it and take it
// back. For whom it was given to: whose it is.
import { useTranslation } from 'react-i18next'
import { fullDate } from '../shared/i18n'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import type { Share } from '../shared/types'
import { useAct } from '../shared/useAct'
import { GiveForm } from './GiveForm'
import { changeShare, takeShareBack, useShares, type Kind } from './queries'
import './sharing.css'
import { RIGHTS } from './rights'
import type { ShareRight } from '../shared/shapes'

interface Props {
  kind: Kind
  item: { id: number; owner: string | null; right: ShareRight }
}

export function Sharing({ kind, item }: Props) {
  const { t } = useTranslation()
  const mine = item.right === 'own'
  const { data = [], refetch } = useShares(kind, item.id, mine)
  const { act } = useAct()
  const attempt = (work: () => Promise<unknown>) =>
    void act(async () => {
      await work()
      await refetch()
    })
  if (!mine)
    return <p className="small quiet">{t(`sharing.given.${item.right}`, { owner: item.owner ?? '' })}</p>
  return (
    <section className="sharing small" aria-label={t('sharing.title')}>
      {data.length > 0 && (
        <ul>
          {data.map((share) => (
            <Line key={share.id} share={share} attempt={attempt} />
          ))}
        </ul>
      )}
      <GiveForm kind={kind} id={item.id} attempt={attempt} />
    </section>
  )
}

function Line({ share, attempt }: { share: Share; attempt: (work: () => Promise<unknown>) => void }) {
  const { t } = useTranslation()
  const { email, person, may, until_on, state, invitation, expired } = share
  return (
    <li>
      <b>{person ?? email}</b>{' '}
      <MenuInPlace
        title={t('sharing.may', { name: person ?? email })}
        label={t(`sharing.rights.${may}`)}
        value={may}
        options={RIGHTS.map((value) => ({ value, label: t(`sharing.rights.${value}`) }))}
        onChange={(value) => attempt(() => changeShare(share.id, { may: value as Share['may'] }))}
      />
      {may !== 'view' && until_on && ` ${t('sharing.until', { date: fullDate(until_on) })}`}
      <span className="quiet"> · {t(expired ? 'sharing.expired' : `sharing.states.${state}`)}</span>
      {invitation && !expired && (
        <>
          {' · '}
          <span className="quiet">{t('sharing.link')}</span>{' '}
          <code>{`${window.location.origin}/?invitation=${invitation}`}</code>
        </>
      )}{' '}
      <button
        type="button"
        className="link"
        aria-label={`${t('sharing.takeBack')}: ${person ?? email}`}
        onClick={() => attempt(() => takeShareBack(share.id))}
      >
        {t('sharing.takeBack')}
      </button>
    </li>
  )
}

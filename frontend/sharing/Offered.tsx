// Invitations of colleagues, to be accepted or declined.
import { useTranslation } from 'react-i18next'
import { useAct } from '../shared/useAct'
import { changeShare, useOffered, type Kind } from './queries'
import './sharing.css'

interface Props {
  kind: Kind
  onTaken: () => Promise<unknown>
}

export function Offered({ kind, onTaken }: Props) {
  const { t } = useTranslation()
  const { data = [], refetch } = useOffered()
  const { act } = useAct()
  const offers = data.filter((share) => share.kind === kind)
  const answer = (id: number, state: 'accepted' | 'declined') =>
    void act(async () => {
      await changeShare(id, { state })
      await Promise.all([refetch(), onTaken()])
    })
  if (!offers.length) return null
  return (
    <ul className="share-offers" aria-label={t('sharing.offers')}>
      {offers.map(({ id, item, owner, may }) => (
        <li key={id}>
          {t(`sharing.offered.${may}`, { item, owner })}{' '}
          <button type="button" className="link" onClick={() => answer(id, 'accepted')}>
            {t('sharing.accept')}
          </button>{' '}
          <button type="button" className="quiet-link" onClick={() => answer(id, 'declined')}>
            {t('sharing.decline')}
          </button>
        </li>
      ))}
    </ul>
  )
}

// Sessions with their devices; each can be ended, or all of them at once.
import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { fullDate, time } from '../shared/i18n'
import { keys } from '../shared/queryKeys'
import type { SignIn } from '../shared/types'
import { useAct } from '../shared/useAct'

const moment = (at: string) => `${fullDate(at)}, ${time(at)}`

export function SignedIn() {
  const { t } = useTranslation()
  const { act } = useAct()
  const { data = [], refetch } = useQuery({
    queryKey: keys.signIns,
    queryFn: () => api.get<SignIn[]>('/sign_ins'),
    refetchOnMount: 'always',
  })
  const end = (id: number) =>
    void act(async () => {
      await api.delete(`/sign_ins/${id}`)
      await refetch()
    })
  const everywhere = () =>
    void api.delete('/account').then(() => {
      window.location.href = '/'
    })
  return (
    <section aria-label={t('account.signedIn')}>
      <h2>{t('account.signedIn')}</h2>
      <ul className="lines signed-in">
        {data.map((one) => (
          <li key={one.id}>
            <span>
              <b>{one.device || t('account.unknownDevice')}</b>
              {one.current && ` · ${t('account.thisOne')}`}
              <br />
              <span className="small quiet tab">
                {t('account.since', { from: moment(one.created_at), used: moment(one.used_at) })} ·{' '}
                {one.address}
              </span>
            </span>
            {!one.current && (
              <button
                type="button"
                className="link small"
                aria-label={`${t('account.end')}: ${one.device}`}
                onClick={() => end(one.id)}
              >
                {t('account.end')}
              </button>
            )}
          </li>
        ))}
      </ul>
      <p className="quiet">{t('account.everywhereLead')}</p>
      <Button onClick={everywhere}>{t('account.everywhere')}</Button>
    </section>
  )
}

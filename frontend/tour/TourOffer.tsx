// In the demo, until she sent it away: a look round is offered.
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import { useSettings } from '../shared/settings'
import { useAct } from '../shared/useAct'
import { goToStep, useStep } from './steps'

export function TourOffer() {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const step = useStep()
  const { tour, hints_gone: gone = [] } = useSettings().user.preferences
  if (!tour || step !== null || gone.includes('tour')) return null
  const dismiss = () =>
    void act(async () => {
      await api.patch('/settings', { preferences: { hints_gone: [...gone, 'tour'] } })
      await cache.invalidateQueries({ queryKey: keys.me })
    })
  return (
    <p className="tour-offer">
      {t('tour.offer')}{' '}
      <button type="button" className="plain-link" onClick={() => goToStep(0)}>
        {t('tour.begin')}
      </button>{' '}
      <button type="button" className="plain-link" disabled={busy} onClick={dismiss}>
        {t('tour.gone')}
      </button>
    </p>
  )
}

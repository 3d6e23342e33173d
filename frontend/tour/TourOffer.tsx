// In the demo the tour is offered until it is closed.
import { useTranslation } from 'react-i18next'
import { useSettings } from '../shared/settings'
import { useAct } from '../shared/useAct'
import { usePrefer } from '../shared/usePrefer'
import { goToStep, useStep } from './steps'

export function TourOffer() {
  const { t } = useTranslation()
  const { act, busy } = useAct()
  const prefer = usePrefer(act)
  const step = useStep()
  const { tour, hints_gone: gone = [] } = useSettings().user.preferences
  if (!tour || step !== null || gone.includes('tour')) return null
  return (
    <p className="tour-offer">
      {t('tour.offer')}{' '}
      <button type="button" className="plain-link" onClick={() => goToStep(0)}>
        {t('tour.begin')}
      </button>{' '}
      <button
        type="button"
        className="plain-link"
        disabled={busy}
        onClick={() => prefer({ hints_gone: [...gone, 'tour'] })}
      >
        {t('tour.gone')}
      </button>
    </p>
  )
}

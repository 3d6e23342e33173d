// A look round the demo in five steps: a card that says what is to be seen here and leads to the next place.
import { Button } from 'antd'
import { memo, useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useNavigate } from 'react-router'
import { KEYS, shown } from '../shared/keys'
import { useSettings } from '../shared/settings'
import { goToStep, useStep } from './steps'
import './tour.css'

export const Tour = memo(function Tour() {
  const { t } = useTranslation()
  const go = useNavigate()
  const step = useStep()
  const heading = useRef<HTMLHeadingElement>(null)
  const places = useSettings().user.preferences.tour
  useEffect(() => heading.current?.focus(), [step])
  if (step === null || !places?.[step]) return null
  const last = step === places.length - 1
  const lead = (to: number) => {
    goToStep(to)
    void go(places[to])
  }
  return (
    <aside className="tour" aria-label={t('tour.label', { step: step + 1, all: places.length })}>
      <h2 ref={heading} tabIndex={-1}>
        {t(`tour.steps.${step}.title`)}{' '}
        <span className="small quiet">
          {step + 1} / {places.length}
        </span>
      </h2>
      <p>{t(`tour.steps.${step}.text`, { key: shown(KEYS.finish) })}</p>
      <div className="presses">
        {step > 0 && <Button onClick={() => lead(step - 1)}>{t('tour.back')}</Button>}
        {last ? (
          <Link className="plain-link" to="/guide" onClick={() => goToStep(null)}>
            {t('tour.guide')}
          </Link>
        ) : (
          <Button type="primary" onClick={() => lead(step + 1)}>
            {t('tour.next')}
          </Button>
        )}
        <button type="button" className="plain-link" onClick={() => goToStep(null)}>
          {t('tour.end')}
        </button>
      </div>
    </aside>
  )
})

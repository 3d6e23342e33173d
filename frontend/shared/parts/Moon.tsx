import { useTranslation } from 'react-i18next'
import type { State } from '../types'

// A state as a moon with its word for screen readers: how much is dark is how far it is.
export function Moon({ state }: { state: State }) {
  const { t } = useTranslation()
  const path = {
    untouched: '',
    draft: 'M6 6V1a5 5 0 0 1 5 5z',
    translated: 'M6 1a5 5 0 0 1 0 10z',
    reviewed: 'M6 1a5 5 0 1 1-5 5h5z',
    final: 'M6 1a5 5 0 1 0 0 10 5 5 0 0 0 0-10z',
  }[state]
  return (
    <svg className="moon" viewBox="0 0 12 12" role="img" aria-label={t(`states.${state}`)}>
      <title>{t(`states.${state}`)}</title>
      <circle cx="6" cy="6" r="5" fill="none" stroke="var(--ink4)" strokeWidth="1.2" />
      <path d={path} fill="var(--ink4)" />
    </svg>
  )
}

// Who else has a segment open, in a word.
import { useTranslation } from 'react-i18next'
import { useSettings } from '../shared/settings'
import type { Segment } from '../shared/types'
import { useOthersAt } from './usePresence'

export function Here({ segment }: { segment: Segment }) {
  const { t } = useTranslation()
  const { user } = useSettings()
  const others = useOthersAt(segment.id)
  if (!others) return null
  const names = [...new Set(others.map((one) => (one.user === user.id ? t('presence.you') : one.name)))]
  return <span className="others-here">{t('presence.here', { names: names.join(', ') })}</span>
}

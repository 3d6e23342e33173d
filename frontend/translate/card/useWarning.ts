// What must be fixed in a text that was confirmed, in a sentence; it stops nothing, and comes when it comes.
import { useTranslation } from 'react-i18next'
import type { Segment } from '../../shared/types'
import { findingsIn } from '../queries'

export function useWarning(segment: Segment, say: (text: string) => void) {
  const { t } = useTranslation()
  return async (value: string) => {
    try {
      const found = (await findingsIn(segment.id, value)).filter(({ level }) => level === 'must-fix')
      if (!found.length) return
      const message = found.map((one) => one.message).join(' ')
      say(t('check.warning', { number: segment.position, message }))
    } catch {
      // Without a network there is no warning; what was confirmed waits all the same.
    }
  }
}

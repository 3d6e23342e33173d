// In the foot of the card: what the checks find in a segment that is done, the worst in words.
import { useTranslation } from 'react-i18next'
import type { Segment } from '../../shared/types'
import { useSegmentFindings } from '../queries'
import { isUnfinished } from '../store'

export function FoundHere({ segment }: { segment: Segment }) {
  const { t } = useTranslation()
  const { data } = useSegmentFindings(segment)
  const found = data?.findings ?? []
  if (!found.length || isUnfinished(segment)) return null
  const worst = found.find(({ level }) => level === 'must-fix') ?? found[0]
  return (
    <span
      className={worst.level === 'must-fix' ? 'lost' : ''}
      title={found.map((one) => one.message).join('\n')}
    >
      {t(`check.levels.${worst.level}`)}: {worst.message}
      {found.length > 1 && ` · ${t('check.andMore', { count: found.length - 1 })}`}
    </span>
  )
}

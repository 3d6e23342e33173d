// Words by band as a bar.
import { useTranslation } from 'react-i18next'
import { number } from '../i18n'
import type { BandGroups } from '../types'
import { drawn } from './bands'

export function BandBar({ files, thick }: { files: (BandGroups | null)[]; thick?: boolean }) {
  const { t } = useTranslation()
  const groups = drawn(files)
  const total = groups.reduce((sum, group) => sum + group.words, 0) || 1
  const label = groups.map((group) => `${t(`bands.${group.name}`)} ${number(group.words)}`).join(', ')
  return (
    <div className={`bar${thick ? ' thick' : ''}`} role="img" aria-label={label}>
      {groups
        .filter((group) => group.words && group.name !== 'new')
        .map((group) => (
          <span
            key={group.name}
            style={{ width: `${(100 * group.words) / total}%`, background: group.ink }}
          />
        ))}
    </div>
  )
}

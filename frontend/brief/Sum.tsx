// The number of words, and how many of them are new.
import { useTranslation } from 'react-i18next'
import { number, pace } from '../shared/i18n'
import { BandBar } from '../shared/parts/BandBar'
import { drawn } from '../shared/parts/bands'
import { useSettings } from '../shared/settings'
import type { DocumentRow } from '../shared/types'

export function Sum({ files, words }: { files: DocumentRow[]; words: number }) {
  const { t } = useTranslation()
  const { user } = useSettings()
  if (!words) return null
  const counts = files.map((one) => one.groups)
  const groups = drawn(counts)
  const counted = counts.every(Boolean)
  const fresh = groups.find((group) => group.name === 'new')!.words
  return (
    <div className="sum">
      <div className="figures">
        <b className="tab">{number(words)}</b>
        {counted ? (
          <>
            {t('brief.ofWhich')} <b className="tab">{number(fresh)}</b>
            {t('brief.newForYou')} · {pace(fresh / user.words_per_hour)}
          </>
        ) : (
          t('brief.words')
        )}
      </div>
      <BandBar files={counts} thick />
      <ul className="legend">
        {groups.map((group) => (
          <li key={group.name} style={{ '--swatch': group.ink } as React.CSSProperties}>
            {t(`bands.${group.name}`)} <span className="tab">{number(group.words)}</span>
          </li>
        ))}
      </ul>
    </div>
  )
}

// Every version of a segment, with its origin, author and time; any can be put back.
import { useTranslation } from 'react-i18next'
import { fullDate, time } from '../../shared/i18n'
import { originText } from '../../shared/origin'
import { Moon } from '../../shared/parts/Moon'
import type { Segment, Version } from '../../shared/types'
import { Written } from '../../shared/Written'
import { usePast } from '../queries'

interface Props {
  segment: Segment
  onRestore: (version: Version) => void
}

export function Past({ segment, onRestore }: Props) {
  const { t } = useTranslation()
  const past = usePast(segment)
  if (past.data && !past.data.length) return <p className="quiet">{t('companion.noPast')}</p>
  return (
    <ol className="past">
      {(past.data ?? []).map((version) => (
        <li key={version.id}>
          <p className="small quiet about">
            <Moon state={version.state} /> {about(version)}
          </p>
          <p className="reading">
            <Written value={version.target} codes={segment.codes} />
          </p>
          {version.target !== segment.target && (
            <button type="button" className="link small" onClick={() => onRestore(version)}>
              {t('companion.restore')}
            </button>
          )}
        </li>
      ))}
    </ol>
  )

  function about({ target, origin, author, updated_at }: Version) {
    const from = target ? originText(origin, t) : ''
    return [from, author, `${fullDate(updated_at)}, ${time(updated_at)}`].filter(Boolean).join(' · ')
  }
}

// What the checks find in the open segment: each in a sentence, with its fix where one is certain.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { Origin, Project, Segment } from '../../shared/types'
import { useSegmentFindings } from '../queries'

interface Props {
  project: Project
  segment: Segment
  onWrite: (text: string, origin: Origin) => void
}

export function Findings({ project, segment, onWrite }: Props) {
  const { t } = useTranslation()
  const found = useSegmentFindings(segment).data?.findings ?? []
  return (
    <div className="segment-findings">
      {found.length === 0 && <p className="quiet">{t('check.noneHere')}</p>}
      <ul>
        {found.map((finding, index) => (
          <li key={`${finding.code} ${index}`} className={finding.level}>
            <p>
              <span className="small quiet">{t(`check.levels.${finding.level}`)} </span>
              {finding.message}
            </p>
            {finding.fix && (
              <button
                type="button"
                className="link small"
                onClick={() => onWrite(finding.fix!, segment.origin)}
              >
                {t('check.putRight')}
              </button>
            )}
          </li>
        ))}
      </ul>
      <p className="small">
        <Link className="plain-link" to={`/projects/${project.id}/check`}>
          {t('check.all')}
        </Link>
      </p>
    </div>
  )
}

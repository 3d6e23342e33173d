// Two segments whose sources are almost alike.
import { useTranslation } from 'react-i18next'
import type { Project } from '../../shared/types'
import type { Twin } from './queries'
import { Side } from './Side'

export function TwinRow({
  twin,
  project,
  onChanged,
}: {
  twin: Twin
  project: Project
  onChanged: () => void
}) {
  const { t } = useTranslation()
  return (
    <li>
      <span className="score tab">
        {twin.score}
        {twin.uneven && <span className="small quiet">{t('check.uneven')}</span>}
      </span>
      <Side
        side={twin.one}
        source={twin.source.map(({ memory }) => memory)}
        target={twin.target.map(({ memory }) => memory)}
        {...{ project, onChanged }}
      />
      <Side
        side={twin.other}
        source={twin.source.map(({ today }) => today)}
        target={twin.target.map(({ today }) => today)}
        {...{ project, onChanged }}
      />
    </li>
  )
}

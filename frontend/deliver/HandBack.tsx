// Of a project that came as a hand-over: back to whom it came from, in one press.
import { useTranslation } from 'react-i18next'
import type { Project } from '../shared/types'

export function HandBack({ project }: { project: Project }) {
  const { t } = useTranslation()
  if (!project.handed_by) return null
  return (
    <p>
      {t('handOver.came', { from: project.handed_by })}{' '}
      <a className="link" href={`/api/projects/${project.id}/hand_back`} download>
        {t('handOver.back')}
      </a>
    </p>
  )
}

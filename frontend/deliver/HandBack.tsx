// Of a project that came as a hand-over: back to whom it came from, in one press.
import { useTranslation } from 'react-i18next'
import { ExportLink } from '../operations/ExportLink'
import type { Project } from '../shared/types'

export function HandBack({ project }: { project: Project }) {
  const { t } = useTranslation()
  if (!project.handed_by) return null
  return (
    <p>
      {t('handOver.came', { from: project.handed_by })}{' '}
      <ExportLink path={`/projects/${project.id}/hand_back`}>{t('handOver.back')}</ExportLink>
    </p>
  )
}

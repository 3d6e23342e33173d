// Of a project that came from a client's server: which one, and that it was taken back, if it was.
import { useTranslation } from 'react-i18next'
import type { Project } from '../shared/types'
import './servers.css'

export function ItsServer({ project }: { project: Project }) {
  const { t } = useTranslation()
  const { server } = project
  if (!server) return null
  if (server.said)
    return (
      <p className="taken-back alarm" role="status">
        {server.said}
      </p>
    )
  return <p className="small quiet">{t('servers.straight', { server: server.name })}</p>
}

// A view beside the findings: a title, a way back to them, and what it shows of the project.
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import type { Project } from '../shared/types'
import { useProject } from '../shared/useProject'
import './check.css'

interface Props {
  id: number
  title: string
  children: (project: Project) => ReactNode
}

export function SideView({ id, title, children }: Props) {
  const { t } = useTranslation()
  const project = useProject(id)
  if (!project.data)
    return (
      <Frame>
        {project.error ? <Failure error={project.error} again={() => void project.refetch()} /> : <Waiting />}
      </Frame>
    )
  return (
    <Frame project={project.data}>
      <div className="sheet-view check-side">
        <p className="small no-print">
          <Link className="plain-link" to={`/projects/${id}/check`}>
            ← {t('check.backToFindings')}
          </Link>
        </p>
        <h1>{title}</h1>
        {children(project.data)}
      </div>
    </Frame>
  )
}

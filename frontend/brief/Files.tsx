// The files of a brief, and the place for more.
import { useTranslation } from 'react-i18next'
import { DropFiles } from '../shared/parts/DropFiles'
import type { Project } from '../shared/types'
import { FileRow } from './FileRow'
import { Sending } from './Sending'
import type { Attempt } from './useChanges'
import type { SendingState } from './useSending'

interface Props {
  project: Project
  attempt: Attempt
  sending: SendingState
  drop: (files: File[]) => void
}

export function Files({ project, attempt, sending, drop }: Props) {
  const { t } = useTranslation()
  const some = project.documents.length > 0
  return (
    <>
      <ul className="files">
        {project.documents.map((one) => (
          <FileRow
            key={one.id}
            row={one}
            project={project.id}
            version={project.versions.find((newer) => newer.replaces_id === one.id)}
            fixed={!!project.begun_at}
            attempt={attempt}
          />
        ))}
      </ul>
      <Sending {...sending} />
      {sending.share === null && (
        <DropFiles slim={some} onFiles={drop}>
          {some ? (
            <span className="quiet">
              {t('brief.dropMore')} <span className="plain-link">{t('brief.choose')}</span>
            </span>
          ) : (
            <>
              <h2>{t('brief.dropFirst')}</h2>
              <p className="quiet">
                {t('brief.dropLead')} <span className="plain-link">{t('today.choose')}</span>
              </p>
            </>
          )}
        </DropFiles>
      )}
    </>
  )
}

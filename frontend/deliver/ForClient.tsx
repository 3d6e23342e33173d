// The memories and terms of the project as files: they belong to the client.
import { useTranslation } from 'react-i18next'
import { ExportLink } from '../operations/ExportLink'
import type { Project } from '../shared/types'

export function ForClient({ project }: { project: Project }) {
  const { t } = useTranslation()
  const files = [
    ...project.memories.map(({ memory_id, name }) => ({
      path: `/memories/${memory_id}/exchange`,
      name,
      form: 'TMX',
    })),
    ...project.termbases.map(({ termbase_id, name }) => ({
      path: `/termbases/${termbase_id}/exchange?as=tbx`,
      name,
      form: 'TBX',
    })),
  ]
  if (!files.length) return null
  return (
    <>
      <h2>{t('deliver.forClient')}</h2>
      <p className="small quiet">{t('deliver.belongs')}</p>
      <ul className="lines">
        {files.map(({ path, name, form }) => (
          <li key={path} className="for-client">
            <span>{name}</span>
            <ExportLink className="link small" path={path}>
              {t('deliver.asFile', { form })}
            </ExportLink>
          </li>
        ))}
      </ul>
    </>
  )
}

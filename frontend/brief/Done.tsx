// What was done to the project as a whole: rules, cuts, files in and out. Each can be taken back from here.
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { fullDate, time } from '../shared/i18n'
import { keys } from '../shared/queryKeys'
import type { ProjectAct } from '../shared/types'
import type { Attempt } from './useChanges'

// stamp: changes whenever the project does, and the list is asked for anew.
export function Done({ project, stamp, attempt }: { project: number; stamp: number; attempt: Attempt }) {
  const { t } = useTranslation()
  const acts = useQuery({
    queryKey: keys.acts(project, stamp),
    placeholderData: keepPreviousData,
    queryFn: () => api.get<ProjectAct[]>(`/projects/${project}/acts`),
  })
  if (!acts.data?.length) return null
  const takeBack = (act: ProjectAct) => attempt(() => api.delete(`/projects/${project}/acts/${act.id}`))
  return (
    <section className="done">
      <h2>{t('done.title')}</h2>
      <ul className="lines">
        {acts.data.map((act) => (
          <li key={act.id} className="line">
            <span>
              {t(`done.${act.kind}`, { name: act.name, text: act.facts.text ?? '' })}{' '}
              <span className="quiet small">
                {fullDate(act.created_at)}, {time(act.created_at)}
                {act.author && ` · ${act.author}`}
              </span>
            </span>
            {act.undone_at ? (
              <span className="quiet small">{t('done.undone')}</span>
            ) : (
              <button type="button" className="link" onClick={() => takeBack(act)}>
                {t('done.undo')}
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}

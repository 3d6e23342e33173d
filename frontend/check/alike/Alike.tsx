// Sources that are almost the same beside their translations, and what the memories hold otherwise. Each can be
// written in where it stands.
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { Failure, Waiting } from '../../shared/Notices'
import type { Project } from '../../shared/types'
import { SideView } from '../SideView'
import { useRivals, useTwins } from './queries'
import { RivalRow } from './RivalRow'
import { TwinRow } from './TwinRow'

export function Alike() {
  const id = Number(useParams().id)
  const { t } = useTranslation()
  return (
    <SideView id={id} title={t('check.alikeTitle')}>
      {(project) => (
        <>
          <Twins project={project} />
          <Rivals project={project} />
        </>
      )}
    </SideView>
  )
}

function Twins({ project }: { project: Project }) {
  const { t } = useTranslation()
  const { data, error, refetch } = useTwins(project.id)
  if (error) return <Failure error={error} again={() => void refetch()} />
  if (!data) return <Waiting />
  return (
    <>
      <p className="quiet">{t(data.length ? 'check.alikeLead' : 'check.alikeNone')}</p>
      <ol className="twins">
        {data.map((twin) => (
          <TwinRow
            key={`${twin.one.segment_id} ${twin.other.segment_id}`}
            {...{ twin, project }}
            onChanged={() => void refetch()}
          />
        ))}
      </ol>
    </>
  )
}

function Rivals({ project }: { project: Project }) {
  const { t } = useTranslation()
  const { data, error, refetch } = useRivals(project.id)
  if (error) return <Failure error={error} again={() => void refetch()} />
  if (!data) return <Waiting />
  return (
    <section aria-label={t('check.rivalsTitle')}>
      <h2>{t('check.rivalsTitle')}</h2>
      <p className="quiet">{t(data.length ? 'check.rivalsLead' : 'check.rivalsNone')}</p>
      <ol className="twins">
        {data.map((rival) => (
          <RivalRow key={rival.segment_id} {...{ rival, project }} onChanged={() => void refetch()} />
        ))}
      </ol>
    </section>
  )
}

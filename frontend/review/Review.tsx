// Review: rounds, each with a sheet out and back; what came back is taken or left, change by change.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import type { Project, ReviewRound } from '../shared/types'
import { useProject } from '../shared/useProject'
import { Back } from './Back'
import { NewRound } from './NewRound'
import { Out } from './Out'
import { Rounds } from './Rounds'
import { useRounds, type Strange } from './queries'
import './review.css'

export function Review() {
  const id = Number(useParams().id)
  const project = useProject(id)
  const rounds = useRounds(id)
  if (project.data && rounds.data) return <Loaded project={project.data} rounds={rounds.data} />
  const error = project.error ?? rounds.error
  const again = () => {
    void project.refetch()
    void rounds.refetch()
  }
  return <Frame project={project.data}>{error ? <Failure error={error} again={again} /> : <Waiting />}</Frame>
}

function Loaded({ project, rounds }: { project: Project; rounds: ReviewRound[] }) {
  const { t } = useTranslation()
  // null: a new one is being made.
  const [wanted, setWanted] = useState<number | null | undefined>(rounds[0]?.id)
  const [strange, setStrange] = useState<Strange | null>(null)
  const round = rounds.find(({ id }) => id === wanted)
  const opened = (id: number, odd: Strange | null = null) => {
    setWanted(id)
    setStrange(odd)
  }
  return (
    <Frame project={project}>
      <div className="review">
        <Rounds
          {...{ project, rounds }}
          open={round?.id ?? null}
          onOpen={opened}
          onNew={() => setWanted(null)}
        />
        <section aria-label={t('review.title')}>
          {!round && <NewRound project={project} onMade={opened} />}
          {round?.state === 'out' && <Out project={project} round={round} onBack={opened} />}
          {round && round.state !== 'out' && (
            <Back key={round.id} project={project} round={round} strange={strange} />
          )}
        </section>
      </div>
    </Frame>
  )
}

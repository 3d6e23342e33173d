// Review: rounds, each with a sheet out and back; what came back is taken or left, change by change.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useLocation, useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import type { Project, ReviewRound } from '../shared/types'
import { useProject } from '../shared/useProject'
import { Back } from './Back'
import { NewRound } from './NewRound'
import { Out } from './Out'
import { Pass } from './pass/Pass'
import { Rounds } from './Rounds'
import { useRounds } from './queries'
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
  const chosen = (useLocation().state as { segments?: number[] } | null)?.segments
  const [wanted, setWanted] = useState<number | null | undefined>(chosen ? null : rounds[0]?.id)
  // Of a pass inside: its text, or the changes made in it.
  const [changes, setChanges] = useState(false)
  const round = rounds.find(({ id }) => id === wanted)
  const opened = (id: number) => {
    setWanted(id)
    setChanges(false)
  }
  const passing = round?.way === 'inside' && !changes
  return (
    <Frame project={project}>
      <div className={passing ? 'review passing' : 'review'}>
        <Rounds
          {...{ project, rounds }}
          open={round?.id ?? null}
          onOpen={opened}
          onNew={() => setWanted(null)}
        />
        <section aria-label={t('review.title')}>
          {!round && <NewRound {...{ project, chosen }} onMade={opened} />}
          {passing && <Pass key={round.id} round={round.id} onChanges={() => setChanges(true)} />}
          {round?.state === 'out' && round.way === 'sheet' && (
            <Out project={project} round={round} onBack={opened} />
          )}
          {round && !passing && (round.state !== 'out' || round.way === 'inside') && (
            <Back
              key={round.id}
              {...{ project, round }}
              onText={changes ? () => setChanges(false) : undefined}
            />
          )}
        </section>
      </div>
    </Frame>
  )
}

// Today: what is due, in order of time, and the one thing to go on with.
import { useQuery } from '@tanstack/react-query'
import { api } from '../shared/api'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { keys } from '../shared/queryKeys'
import type { Agenda } from '../shared/types'
import { Due } from './Due'
import { Briefs } from './Briefs'
import { useInto } from './DropHere'
import { Empty } from './Empty'
import { useNewBrief } from './useNewBrief'
import './today.css'

export function Today() {
  const agenda = useQuery({
    queryKey: keys.today,
    queryFn: () => api.get<Agenda>('/today'),
    refetchOnMount: 'always',
  })
  const { sending, start } = useNewBrief()
  const into = useInto()
  const data = agenda.data
  if (!data)
    return (
      <Frame>
        {agenda.error ? <Failure error={agenda.error} again={() => void agenda.refetch()} /> : <Waiting />}
      </Frame>
    )
  const nothing = !data.projects.length && !data.briefs.length && !data.to_review.length
  return (
    <Frame>
      <div
        className={nothing ? 'today empty-day' : 'today'}
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault()
          start([...event.dataTransfer.files], into.known)
        }}
      >
        {nothing ? (
          <Empty {...{ sending, start, into }} />
        ) : (
          <>
            <Due agenda={data} />
            <Briefs briefs={data.briefs} refresh={() => agenda.refetch()} {...{ sending, start, into }} />
          </>
        )}
      </div>
    </Frame>
  )
}

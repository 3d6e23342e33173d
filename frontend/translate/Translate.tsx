// Translate: the text of a project, loaded, with what this browser still holds.
import { useCallback, useEffect, useState } from 'react'
import { useLocation, useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { useProjectNews } from '../shared/live'
import { Failure, Waiting } from '../shared/Notices'
import type { Project } from '../shared/types'
import { useProject } from '../shared/useProject'
import { useListing, type Listing } from './queries'
import { Reading } from './Reading'
import { useStore } from './useStore'
import './timed/timed.css'
import './translate.css'

const SAID_FOR = 4000

export function Translate() {
  const id = Number(useParams().id)
  const project = useProject(id)
  const listing = useListing(id)
  if (project.data && listing.data) return <Loaded key={id} project={project.data} listing={listing.data} />
  const error = project.error ?? listing.error
  const again = () => {
    void project.refetch()
    void listing.refetch()
  }
  return <Frame project={project.data}>{error ? <Failure error={error} again={again} /> : <Waiting />}</Frame>
}

function Loaded({ project, listing }: { project: Project; listing: Listing }) {
  const hash = useLocation().hash
  const store = useStore(project.id, listing.segments)
  const { said, say } = useSaid()
  // Changes by others that the user should know of.
  useProjectNews(project.id, ({ event, message }) => {
    if (event === 'said' && message) say(message)
  })
  if (!store) return <Frame project={project}>{null}</Frame>
  return <Reading {...{ project, listing, store, said, say, hash }} />
}

// A message that is shown for a moment.
function useSaid() {
  const [said, setSaid] = useState('')
  const say = useCallback((text: string) => setSaid(text), [])
  useEffect(() => {
    if (!said) return
    const timer = window.setTimeout(() => setSaid(''), SAID_FOR)
    return () => window.clearTimeout(timer)
  }, [said])
  return { said, say }
}

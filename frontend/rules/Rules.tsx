// Segmentation rules: a table for each language on the left, the text segmented by them on the right, updated
// while typing.
import { useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { useProjectOfRules, useRuling, type RulesOwner } from './queries'
import { useEdition } from './useEdition'
import { Workbench } from './Workbench'
import './rules.css'

function ownerOf(project?: string, client?: string): RulesOwner {
  if (project) return `/projects/${Number(project)}`
  return client ? `/clients/${Number(client)}` : ''
}

export function Rules() {
  const { id, client } = useParams()
  const own = id ? Number(id) : undefined
  const owner = ownerOf(id, client)
  const project = useProjectOfRules(own)
  const ruling = useRuling(owner)
  const edition = useEdition(ruling.data?.groups)
  const ready = ruling.data && (!own || project.data)
  if (ruling.error)
    return (
      <Frame project={project.data}>
        <Failure error={ruling.error} again={() => void ruling.refetch()} />
      </Frame>
    )
  return (
    <Frame project={project.data}>
      {ready ? (
        <Workbench key={edition} ruling={ruling.data} owner={owner} project={project.data} />
      ) : (
        <Waiting />
      )}
    </Frame>
  )
}

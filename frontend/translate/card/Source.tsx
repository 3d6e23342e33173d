// The source of the open segment: where it stands, its text with terms and figures marked, its note.
import { direction } from '../../shared/languages'
import type { Project, Segment } from '../../shared/types'
import { Written, type Marked } from '../../shared/Written'
import { Place } from '../Place'

interface Props {
  segment: Segment
  project: Project
  marks: Marked[]
}

export function Source({ segment, project, marks }: Props) {
  return (
    <>
      <Place segment={segment} />
      <div
        className="source"
        id={`source-${segment.id}`}
        lang={project.source_lang ?? undefined}
        dir={direction(project.source_lang)}
      >
        <Written value={segment.source} codes={segment.codes} changes={marks} />
      </div>
      {segment.note && <p className="note small quiet">{segment.note}</p>}
    </>
  )
}

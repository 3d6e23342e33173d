// Where a segment stands in its document, when its look does not say so.
import type { Segment } from '../shared/types'

export const Place = ({ segment }: { segment: Segment }) =>
  segment.place && <span className="where">{segment.place}</span>

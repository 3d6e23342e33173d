// When a cue begins, before its text.
import { short } from './clock'
import { useCue } from './useTimed'

export function CueStart({ segment }: { segment: number }) {
  const at = useCue(segment)
  return at && <span className="cue-start tab">{short(at.cue.start)}</span>
}

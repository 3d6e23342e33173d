// Which edition of the rules is on the page: it counts on when the rules are others than before, not when the
// same ones were asked for again, so that what is being edited stays.
import { useState } from 'react'
import type { RuleGroup } from '../shared/types'

export function useEdition(groups: RuleGroup[] | undefined) {
  const [seen, setSeen] = useState({ groups, edition: 0 })
  if (groups !== seen.groups) setSeen({ groups, edition: seen.edition + 1 })
  return seen.edition
}

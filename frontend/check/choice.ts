// Which findings are shown, and in which order.
import type { State } from '../shared/types'
import type { Finding, Level } from './queries'

export interface Choice {
  level?: Level
  group?: string
  file?: string
  state?: State
  stands: boolean
}
export const EVERYTHING: Choice = { stands: false }

export const fits = (finding: Finding, { level, group, file, state, stands }: Choice) =>
  !!finding.stands === stands &&
  (!level || finding.level === level) &&
  (!group || finding.group === group) &&
  (!file || finding.file === file) &&
  (!state || finding.state === state)

export const ORDERS = ['text', 'kind', 'level'] as const
export type Order = (typeof ORDERS)[number]

// What findings stand under in an order, or null where there are no headings.
export function headingOf(finding: Finding, order: Order): string | null {
  if (order === 'kind') return `check.groups.${finding.group}`
  return order === 'level' ? `check.levels.${finding.level}` : null
}

// Those of a heading stay in text order.
export function inOrder(findings: Finding[], order: Order): Finding[] {
  if (order === 'text') return findings
  const headings = [...new Set(findings.map((one) => headingOf(one, order)))]
  if (order === 'level') headings.sort((one) => (one?.endsWith('must-fix') ? -1 : 1))
  const place = (finding: Finding) => headings.indexOf(headingOf(finding, order))
  return findings.toSorted((one, other) => place(one) - place(other))
}

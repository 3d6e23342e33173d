// What is said of an operation: its name, how far it is, what it came to.
import type { TFunction } from 'i18next'
import { number } from '../shared/i18n'
import type { Operation } from '../shared/types'

// Seconds below which no estimate is worth saying, and from which minutes are told.
const SOON = 5
const MINUTES = 90
const TEN = 10

export function timeLeft(seconds: number | null, t: TFunction): string {
  if (seconds === null || seconds <= SOON) return ''
  if (seconds < MINUTES) {
    return t('operations.secondsLeft', { count: Math.max(TEN, Math.round(seconds / TEN) * TEN) })
  }
  return t('operations.minutesLeft', { count: Math.round(seconds / 60) })
}

export const percentOf = ({ done, total }: Operation) =>
  total > 0 ? Math.min(100, Math.round((100 * done) / total)) : 0

export const nameOf = (operation: Pick<Operation, 'kind'>, t: TFunction) =>
  t(`operations.names.${operation.kind}`)

// What it waits for, or what it is doing.
export function doing(operation: Operation, t: TFunction): string {
  const { state, undoing, phase, waiting_for: waiting } = operation
  if (state === 'cancelled' || phase === 'clearing') return t('operations.clearing')
  if (state === 'queued' && waiting) {
    return t(`operations.waiting.${waiting.reason}`, {
      name: waiting.kind ? nameOf({ kind: waiting.kind }, t) : '',
      count: waiting.count ?? 0,
    })
  }
  if (state === 'queued') return t('operations.states.queued')
  if (undoing) return t('operations.undoing')
  return phase ? t(`operations.phases.${phase}`) : ''
}

// How many it changed.
function amount({ result, done }: Operation): number {
  return result.count ?? result.added ?? result.changed ?? result.found ?? done
}

// What it came to, as Activity says it.
export function outcome(operation: Operation, t: TFunction): string {
  const { kind, summary, result } = operation
  const figures = ['added', 'updated', 'same', 'skipped', 'merged'] as const
  return t(`operations.entries.${kind}`, {
    count: amount(operation),
    name: summary,
    text: result.text ?? '',
    ...Object.fromEntries(figures.map((figure) => [figure, number(result[figure] ?? 0)])),
  })
}

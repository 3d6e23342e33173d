// An act on a memory in a line, with what it did.
import type { TFunction } from 'i18next'
import { number } from '../shared/i18n'
import type { MemoryChange } from '../shared/types'

export function changeText(change: MemoryChange, t: TFunction): string {
  const { facts, kind, state, summary, file } = change
  if (facts.message) return facts.message
  if (kind === 'import')
    return t('memories.acts.import', {
      file,
      added: number(facts.added ?? 0),
      updated: number(facts.updated ?? 0),
      same: number(facts.same ?? 0),
      skipped: number(facts.skipped ?? 0),
    })
  if (state === 'waiting' || state === 'running') return t('memories.begun')
  const count = facts.read ?? facts.added ?? 1
  return t(`memories.acts.${kind}`, { count, units: number(count), summary })
}

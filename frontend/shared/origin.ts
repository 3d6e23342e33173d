// Where the text of a segment came from, in words.
import type { TFunction } from 'i18next'
import type { Origin } from './types'

const WORDS: Record<string, string> = {
  file: 'translate.withFile',
  earlier: 'translate.earlier',
  repeated: 'translate.repeated',
  source: 'translate.copied',
  machine: 'translate.machine',
  assembled: 'translate.assembled',
}

export function originText({ kind, score, touched, author }: Origin, t: TFunction): string {
  if (kind === 'review') return t('translate.reviewedBy', { author })
  if (kind === 'memory') return t(touched ? 'translate.fromMemoryTouched' : 'translate.fromMemory', { score })
  return t(WORDS[kind ?? ''] ?? 'translate.typed')
}

// An act on a memory that is under way: how far it is, how long it may take, and a way to stop it.
import type { TFunction } from 'i18next'
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import type { MemoryChange } from '../shared/types'
import { stopChange } from './queries'
import type { Attempt } from './useAttempt'

// Seconds below which no estimate is worth saying, and from which minutes are told.
const SOON = 5
const MINUTES = 90

function leftText(left: number | null, t: TFunction) {
  if (left === null || left <= SOON) return ''
  if (left < MINUTES) return t('memories.leftSeconds', { count: Math.max(10, Math.round(left / 10) * 10) })
  return t('memories.leftMinutes', { count: Math.round(left / 60) })
}

function doingText(change: MemoryChange, share: number, t: TFunction) {
  if (change.state === 'undoing') return t('memories.undoing', { share })
  if (change.file)
    return t('memories.running', { file: change.file, read: number(change.facts.read ?? 0), share })
  return t(`memories.doing.${change.kind}`, { summary: change.summary, share })
}

export function Running({ change, attempt }: { change: MemoryChange; attempt: Attempt }) {
  const { t } = useTranslation()
  const share = change.total ? Math.min(100, Math.round((100 * change.done) / change.total)) : 0
  return (
    <p className="small running" role="status">
      <span className="gauge wide" aria-hidden>
        <i style={{ width: `${share}%` }} />
      </span>
      {[doingText(change, share, t), leftText(change.left, t)].filter(Boolean).join(' ')}{' '}
      {change.state !== 'undoing' && (
        <button type="button" className="link" onClick={() => attempt(() => stopChange(change))}>
          {t('memories.stop')}
        </button>
      )}
    </p>
  )
}

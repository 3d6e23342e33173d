// An operation under way: what it does, how far it is, how long it may still take, and Cancel.
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import type { Operation } from '../shared/types'
import { useAct } from '../shared/useAct'
import { cancelOperation, isUnderWay, refreshUnderWay } from './queries'
import { doing, nameOf, percentOf, timeLeft } from './words'
import './operations.css'

interface Props {
  operation: Operation
  // Without its name, where the page says what it is.
  bare?: boolean
  onCancelled?: () => unknown
}

export function OperationProgress({ operation, bare = false, onCancelled }: Props) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const percent = percentOf(operation)
  const name = [nameOf(operation, t), operation.summary].filter(Boolean).join(' · ')
  const cancel = () =>
    void act(async () => {
      await cancelOperation(operation.id)
      await refreshUnderWay(cache)
      await onCancelled?.()
    })
  const told = [
    bare ? '' : name,
    doing(operation, t),
    operation.total > 0 && operation.state === 'running' ? `${percent} %` : '',
    timeLeft(operation.seconds_left, t),
  ]
  return (
    <div className="operation-progress small" role="status" aria-label={name}>
      <span className="gauge wide" aria-hidden>
        <i style={{ width: `${percent}%` }} />
      </span>
      <span className="operation-told">{told.filter(Boolean).join(' · ')}</span>
      {isUnderWay(operation) && (
        <button
          type="button"
          className="link"
          disabled={busy}
          aria-label={`${t('operations.cancel')}: ${name}`}
          onClick={cancel}
        >
          {t('operations.cancel')}
        </button>
      )}
    </div>
  )
}

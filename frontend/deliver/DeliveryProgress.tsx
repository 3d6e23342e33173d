// A delivery that is being made, or why the last one was not: it goes on when the page is left.
import { useTranslation } from 'react-i18next'
import { OperationProgress } from '../operations/OperationProgress'
import { isUnderWay, retryOperation } from '../operations/queries'
import type { Operation } from '../shared/types'
import { useAct } from '../shared/useAct'

interface Props {
  operation: Operation
  // It was cancelled or begun again.
  onChanged: () => unknown
}

export function DeliveryProgress({ operation, onChanged }: Props) {
  const { t } = useTranslation()
  const { phase, done, total } = operation
  if (!isUnderWay(operation)) return <NotMade {...{ operation, onChanged }} />
  return (
    <section className="delivery-progress" aria-label={t('deliver.inProgress')}>
      <OperationProgress operation={operation} bare onCancelled={onChanged} />
      <p className="small quiet tab">
        {phase !== 'clearing' && t(`deliver.progress.${phase ?? 'starting'}`, { done, total })}
      </p>
    </section>
  )
}

function NotMade({ operation, onChanged }: Props) {
  const { t } = useTranslation()
  const { act, busy } = useAct()
  const { id, state, message, result } = operation
  if (state === 'done') return null
  const again = () =>
    void act(async () => {
      await retryOperation(id)
      await onChanged()
    })
  // What is recorded stays; only the memories have not learned all of it.
  const told = result.delivery_id ? t('deliver.notLearned') : t('deliver.notMade')
  return (
    <section className="delivery-progress" role="status">
      {[told, message].filter(Boolean).join(' ')}{' '}
      <button type="button" className="link" disabled={busy} onClick={again}>
        {t('operations.retry')}
      </button>
    </section>
  )
}

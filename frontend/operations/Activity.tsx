// What was done to a project, memory or termbase: each change with author, time, result and Undo.
import { useTranslation } from 'react-i18next'
import { fullDate, time } from '../shared/i18n'
import type { Operation } from '../shared/types'
import { finished } from './follow'
import { OperationProgress } from './OperationProgress'
import { isUnderWay, retryOperation, undoOperation, useActivity, type Subject } from './queries'
import { nameOf, outcome } from './words'

export type Attempt = (work: () => Promise<unknown>) => unknown

interface Props {
  subject: Subject
  id: number
  // Changes whenever the subject does, and the list is asked for anew.
  stamp?: unknown
  // What is to be read only is not undone.
  readOnly?: boolean
  attempt: Attempt
  // What is shown where nothing was done yet.
  none?: string
}

export function Activity({ subject, id, stamp, readOnly = false, attempt, none }: Props) {
  const activity = useActivity(subject, id, stamp)
  if (!activity.data?.length) return none && activity.data ? <p className="quiet">{none}</p> : null
  const change = (work: () => Promise<Operation>) =>
    attempt(async () => {
      await finished(await work())
      await activity.refetch()
    })
  return (
    <ol className="lines activity">
      {activity.data.map((operation) => (
        <li key={operation.id} className={operation.state === 'undone' ? 'line undone' : 'line'}>
          <Entry operation={operation} />
          {!readOnly && <Acts operation={operation} change={change} />}
        </li>
      ))}
    </ol>
  )
}

function Entry({ operation }: { operation: Operation }) {
  const { t } = useTranslation()
  const { author, created_at, state, message } = operation
  const stopped = state === 'failed' || state === 'cancelled'
  const what = stopped
    ? [nameOf(operation, t), operation.summary].filter(Boolean).join(' · ')
    : outcome(operation, t)
  if (isUnderWay(operation)) return <OperationProgress operation={operation} />
  return (
    <div>
      <span>{what}</span>{' '}
      <span className="quiet small">
        {[author, `${fullDate(created_at)}, ${time(created_at)}`].filter(Boolean).join(' · ')}
      </span>
      {stopped && (
        <p className="small quiet">{[t(`operations.states.${state}`), message].filter(Boolean).join(': ')}</p>
      )}
      <Faults operation={operation} />
    </div>
  )
}

interface ActsProps {
  operation: Operation
  change: (work: () => Promise<Operation>) => unknown
}

function Acts({ operation, change }: ActsProps) {
  const { t } = useTranslation()
  const { id, state, undoable, retryable } = operation
  if (state === 'undone') return <span className="quiet small">{t('operations.states.undone')}</span>
  return (
    <span className="presses">
      {retryable && (
        <button type="button" className="link" onClick={() => change(() => retryOperation(id))}>
          {t('operations.retry')}
        </button>
      )}
      {undoable && (
        <button type="button" className="link" onClick={() => change(() => undoOperation(id))}>
          {t('operations.undo')}
        </button>
      )}
    </span>
  )
}

// What was wrong with lines of an imported file.
export function Faults({ operation }: { operation: Operation }) {
  const { t } = useTranslation()
  const { faults = [], faulty } = operation.result
  if (!faults.length) return null
  return (
    <details className="small">
      <summary>{t('operations.faults', { count: faulty ?? faults.length })}</summary>
      <ul>
        {faults.map((fault, index) => (
          <li key={index}>
            {fault.line === null
              ? fault.message
              : t('operations.fault', { line: fault.line, message: fault.message })}
          </li>
        ))}
      </ul>
    </details>
  )
}

// What was done to a memory; each act can be taken back from here.
import { useTranslation } from 'react-i18next'
import { fullDate, time } from '../shared/i18n'
import type { Memory, MemoryChange } from '../shared/types'
import { changeText } from './changeText'
import { isUnderWay, undoChange, useChangesOf } from './queries'
import type { Attempt } from './useAttempt'

export function History({ memory, attempt }: { memory: Memory; attempt: Attempt }) {
  const { t } = useTranslation()
  const changes = useChangesOf(memory.id).data
  if (changes && !changes.length) return <p className="quiet unit-none">{t('memories.noHistory')}</p>
  return (
    <ol className="memory-past">
      {(changes ?? []).map((change) => (
        <li key={change.id} className={change.undone_at ? 'undone' : ''}>
          <p>
            {changeText(change, t)}{' '}
            {change.state !== 'done' && (
              <span className="quiet">({t(`memories.changeStates.${change.state}`)})</span>
            )}
          </p>
          <p className="small quiet">
            {[change.author, `${fullDate(change.created_at)}, ${time(change.created_at)}`]
              .filter(Boolean)
              .join(' · ')}
            <Undo change={change} attempt={memory.right === 'read' ? undefined : attempt} />
          </p>
          <Faults change={change} />
        </li>
      ))}
    </ol>
  )
}

// Without an attempt it only says whether it was taken back.
function Undo({ change, attempt }: { change: MemoryChange; attempt?: Attempt }) {
  const { t } = useTranslation()
  if (change.undone_at) return <> · {t('memories.undone')}</>
  if (!attempt || isUnderWay(change)) return null
  return (
    <>
      {' · '}
      <button type="button" className="link" onClick={() => attempt(() => undoChange(change))}>
        {t('memories.undo')}
      </button>
    </>
  )
}

function Faults({ change }: { change: MemoryChange }) {
  const { t } = useTranslation()
  const { faults = [], faulty } = change.facts
  if (!faults.length) return null
  return (
    <details className="small">
      <summary>{t('memories.faults', { count: faulty ?? faults.length })}</summary>
      <ul>
        {faults.map((fault, index) => (
          <li key={index}>{t('memories.fault', { ...fault })}</li>
        ))}
      </ul>
    </details>
  )
}

// A memory in the list: its languages, size and use, and what can be done with it.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { fullDate, number } from '../shared/i18n'
import { languageName } from '../shared/languages'
import { ExportLink } from '../operations/ExportLink'
import { OperationProgress } from '../operations/OperationProgress'
import type { Memory } from '../shared/types'
import { BringIn } from './BringIn'
import type { Attempt } from './useAttempt'
import { may } from '../sharing/rights'

interface Props {
  memory: Memory
  attempt: Attempt
  onRemove: () => void
}

export function MemoryLine({ memory, attempt, onRemove }: Props) {
  const { t } = useTranslation()
  return (
    <li className="line memory-line">
      <div className="what">
        <h2 className="reading">
          <Link className="plain-link" to={`/memories/${memory.id}`}>
            {memory.name}
          </Link>
        </h2>
        <About memory={memory} />
        {memory.busy.map((operation) => (
          <OperationProgress
            key={operation.id}
            operation={operation}
            onCancelled={() => attempt(async () => {})}
          />
        ))}
      </div>
      {!memory.remote && may(memory.right, 'edit') && <BringIn memory={memory} attempt={attempt} />}
      {!memory.remote && (
        <ExportLink className="link small" path={`/memories/${memory.id}/exchange`}>
          {t('memories.export')}
        </ExportLink>
      )}
      {memory.right === 'own' && (
        <button
          type="button"
          className="quiet small"
          aria-label={`${t('memories.remove')}: ${memory.name}`}
          onClick={onRemove}
        >
          {t('memories.remove')}
        </button>
      )}
    </li>
  )
}

function About({ memory }: { memory: Memory }) {
  const { t } = useTranslation()
  const { source_lang, target_lang, units, projects, used_at, updated_at, description } = memory
  const about = [
    t('brief.units', { count: units, units: number(units) }),
    projects ? t('memories.projects', { count: projects }) : '',
    used_at
      ? t('memories.used', { date: fullDate(used_at) })
      : t('memories.changed', { date: fullDate(updated_at) }),
    description,
    memory.remote ? t('remote.on', { server: memory.remote.server }) : '',
    memory.right === 'own' ? '' : t(`sharing.given.${memory.right}`, { owner: memory.owner ?? '' }),
  ]
  return (
    <p className="small quiet tab">
      {languageName(source_lang)} → {languageName(target_lang)} · {about.filter(Boolean).join(' · ')}
    </p>
  )
}

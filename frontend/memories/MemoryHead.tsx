// The head of a memory: name, languages, size, and what can be done with all of it.
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { languageName } from '../shared/languages'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import { TextInPlace } from '../shared/parts/TextInPlace'
import { ExportLink } from '../operations/ExportLink'
import { OperationProgress } from '../operations/OperationProgress'
import type { Memory } from '../shared/types'
import { Keys } from '../remote/Keys'
import { Sharing } from '../sharing/Sharing'
import { BringIn } from './BringIn'
import { changeMemory, useOthersOfPair } from './queries'
import type { Attempt } from './useAttempt'
import { may } from '../sharing/rights'

const SPLIT_BY = ['client', 'subject']

interface Props {
  memory: Memory
  attempt: Attempt
  act: (body: Record<string, unknown>) => void
  history: boolean
  onHistory: () => void
}

export function MemoryHead({ memory, attempt, act, history, onHistory }: Props) {
  const { t } = useTranslation()
  const others = useOthersOfPair(memory).data ?? []
  const own = memory.right === 'own'
  const change = (fields: Record<string, unknown>) => attempt(() => changeMemory(memory.id, fields))
  return (
    <header>
      <h1 className="reading">
        {own ? (
          <TextInPlace
            value={memory.name}
            blank={t('memories.name')}
            label={t('memories.name')}
            onChange={(name) => change({ name })}
          />
        ) : (
          memory.name
        )}
      </h1>
      <p className="small quiet">
        {languageName(memory.source_lang)} → {languageName(memory.target_lang)} ·{' '}
        <span className="tab">{t('brief.units', { count: memory.units, units: number(memory.units) })}</span>{' '}
        ·{' '}
        {own ? (
          <TextInPlace
            value={memory.description}
            blank={t('memories.describe')}
            label={t('memories.describe')}
            onChange={(description) => change({ description })}
          />
        ) : (
          memory.description
        )}
      </p>
      <p className="small memory-acts">
        {may(memory.right, 'edit') && <BringIn memory={memory} attempt={attempt} />}
        <ExportLink path={`/memories/${memory.id}/exchange`}>{t('memories.export')}</ExportLink>
        {own && others.length > 0 && (
          <MenuInPlace
            title={t('memories.merge')}
            label={t('memories.merge')}
            value=""
            options={others.map((one) => ({ value: String(one.id), label: one.name }))}
            onChange={(from) => act({ kind: 'merge', from: Number(from) })}
          />
        )}
        {own && (
          <MenuInPlace
            title={t('memories.split')}
            label={t('memories.split')}
            value=""
            options={SPLIT_BY.map((by) => ({ value: by, label: t(`memories.splitBy.${by}`) }))}
            onChange={(by) => act({ kind: 'split', by })}
          />
        )}
        <button type="button" className="link" aria-expanded={history} onClick={onHistory}>
          {t('operations.title')}
        </button>
      </p>
      <Sharing kind="memory" item={memory} />
      {own && <Keys kind="memory" id={memory.id} />}
      {memory.busy.map((one) => (
        <OperationProgress key={one.id} operation={one} onCancelled={() => attempt(async () => {})} />
      ))}
    </header>
  )
}

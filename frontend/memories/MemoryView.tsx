// Inside a memory: search first, facets beside, units to read and to edit in place, many at once, what
// deserves a look, and its history.
import { useDeferredValue, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { RemoteMemory } from '../remote/RemoteMemory'
import { Activity } from '../operations/Activity'
import { finished } from '../operations/follow'
import { undoOperation } from '../operations/queries'
import { outcome } from '../operations/words'
import type { Operation } from '../shared/types'
import { useOffer } from '../shared/useOffer'
import { Facets } from './Facets'
import { MemoryHead } from './MemoryHead'
import { changeMany, changeMemory, useMemory, useRefresh, useUnits, type UnitSearch } from './queries'
import { Units } from './Units'
import { useAttempt } from './useAttempt'
import './memories.css'
import { may } from '../sharing/rights'

const NOTHING: UnitSearch = { text: '', side: 'both', tidy: '' }

export function MemoryView() {
  const { t } = useTranslation()
  const id = Number(useParams().id)
  const offer = useOffer('done')
  const [search, setSearch] = useState(NOTHING)
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set())
  const [history, setHistory] = useState(false)
  const query = useMemory(id)
  const memory = query.data
  const found = useUnits(memory, id, useDeferredValue(search))
  const refresh = useRefresh(id, query.refetch)
  const attempt = useAttempt(refresh)
  if (!memory)
    return (
      <Frame>
        {query.error ? <Failure error={query.error} again={() => void query.refetch()} /> : <Waiting />}
      </Frame>
    )

  if (memory.remote)
    return (
      <Frame>
        <RemoteMemory
          memory={memory}
          source={memory.remote}
          onRename={(name) => attempt(() => changeMemory(id, { name }))}
          onChanged={refresh}
        />
      </Frame>
    )
  const narrow = (fields: Partial<UnitSearch>) => {
    setSearch({ ...search, ...fields })
    setChosen(new Set())
  }
  const done = (operation: Operation) =>
    offer(outcome(operation, t), t('operations.undo'), () =>
      attempt(async () => finished(await undoOperation(operation.id))),
    )
  const act = (body: Record<string, unknown>) =>
    attempt(async () => {
      setChosen(new Set())
      const changing = changeMany(id, body)
      await query.refetch()
      done(await changing)
    })
  return (
    <Frame>
      <div className="memory-view">
        <Facets facets={found.facets.data} tidy={found.tidy.data} search={search} onNarrow={narrow} />
        <section className="units" aria-label={memory.name}>
          <MemoryHead {...{ memory, attempt, act, history }} onHistory={() => setHistory(!history)} />
          {history ? (
            <Activity
              subject="memories"
              id={id}
              readOnly={!may(memory.right, 'add')}
              attempt={attempt}
              none={t('operations.none')}
            />
          ) : (
            <Units
              {...{ memory, search, chosen, setChosen, act }}
              found={found.units}
              onNarrow={narrow}
              onShowAll={() => narrow(NOTHING)}
              onEdited={(operation) => {
                void refresh()
                if (operation) done(operation)
              }}
            />
          )}
        </section>
      </div>
    </Frame>
  )
}

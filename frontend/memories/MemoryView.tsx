// Inside a memory: search first, facets beside, units to read and to edit in place, many at once, what
// deserves a look, and its history.
import { useDeferredValue, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { FarMemory } from '../remote/FarMemory'
import type { MemoryChange } from '../shared/types'
import { useOffer } from '../shared/useOffer'
import { changeText } from './changeText'
import { Facets } from './Facets'
import { History } from './History'
import { MemoryHead } from './MemoryHead'
import {
  changeMany,
  changeMemory,
  undoChange,
  useMemory,
  useRefresh,
  useUnits,
  type UnitSearch,
} from './queries'
import { Units } from './Units'
import { useAttempt } from './useAttempt'
import { useOutcomes } from './useOutcomes'
import './memories.css'

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
  const outcomes = useOutcomes(id, memory?.busy, query.dataUpdatedAt)
  if (!memory)
    return (
      <Frame>
        {query.error ? <Failure error={query.error} again={() => void query.refetch()} /> : <Waiting />}
      </Frame>
    )

  if (memory.remote)
    return (
      <Frame>
        <FarMemory
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
  const done = (change: MemoryChange) =>
    offer(changeText(change, t), t('memories.undo'), () => attempt(() => undoChange(change)))
  const act = (body: Record<string, unknown>) =>
    attempt(async () => {
      const change = await changeMany(id, body)
      setChosen(new Set())
      done(change)
    })
  return (
    <Frame>
      <div className="memory-view">
        <Facets facets={found.facets.data} tidy={found.tidy.data} search={search} onNarrow={narrow} />
        <section className="units" aria-label={memory.name}>
          <MemoryHead
            {...{ memory, attempt, act, history }}
            onHistory={() => setHistory(!history)}
            onBegun={outcomes.watch}
          />
          {history ? (
            <History memory={memory} attempt={attempt} />
          ) : (
            <Units
              {...{ memory, search, chosen, setChosen, act }}
              found={found.units}
              onNarrow={narrow}
              onShowAll={() => narrow(NOTHING)}
              onEdited={(change) => {
                void refresh()
                if (change) done(change)
              }}
            />
          )}
        </section>
      </div>
    </Frame>
  )
}

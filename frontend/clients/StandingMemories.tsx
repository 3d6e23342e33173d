// The memories that new projects of a client get: their order, when each learns, points off.
import { useTranslation } from 'react-i18next'
import { AttachedMemoryRow } from '../brief/AttachedMemoryRow'
import { useQuery } from '@tanstack/react-query'
import { api } from '../shared/api'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import { keys } from '../shared/queryKeys'
import type { AttachedMemory, ClientPage, Memory, StandingMemory } from '../shared/types'
import type { ChangeClient } from './queries'

// Each says its languages.
const NO_PAIR = { source_lang: null, target_lang: null }

const kept = ({ memory_id, learns, read_only, penalty }: StandingMemory) => ({
  memory_id,
  learns,
  read_only,
  penalty,
})

function moved(rows: StandingMemory[], from: number, by: number) {
  const list = [...rows]
  const [row] = list.splice(from, 1)
  list.splice(from + by, 0, row)
  return list
}

export function StandingMemories({ client, change }: { client: ClientPage; change: ChangeClient }) {
  const { t } = useTranslation()
  const all =
    useQuery({ queryKey: keys.memories(), queryFn: () => api.get<Memory[]>('/memories') }).data ?? []
  const rows = client.memories
  const save = (list: StandingMemory[]) => change({ memories: list.map(kept) })
  const free = all.filter((memory) => !rows.some((row) => row.memory_id === memory.id))
  const add = (id: string) => {
    const memory = free.find((one) => String(one.id) === id)
    if (memory)
      save([...rows, { ...memory, memory_id: memory.id, learns: 'deliver', read_only: false, penalty: 0 }])
  }
  return (
    <>
      <h2>{t('brief.memories')}</h2>
      <ol className="stock">
        {rows.map((row, index) => (
          <AttachedMemoryRow
            key={row.memory_id}
            row={{ ...row, region_penalty: 0, server: null } satisfies AttachedMemory}
            beside={NO_PAIR}
            rank={index + 1}
            first={index === 0}
            last={index === rows.length - 1}
            onEdit={(fields) => save(rows.map((one) => (one === row ? { ...one, ...fields } : one)))}
            onMove={(by) => save(moved(rows, index, by))}
            onDetach={() => save(rows.filter((one) => one !== row))}
          />
        ))}
      </ol>
      {free.length > 0 && (
        <p className="small">
          <ChoiceInPlace
            label={t('brief.addMemory')}
            blank={t('brief.addMemory')}
            value={null}
            options={free.map((memory) => ({
              value: String(memory.id),
              label: `${memory.name} · ${memory.source_lang} → ${memory.target_lang}`,
            }))}
            onChange={add}
          />
        </p>
      )}
    </>
  )
}

// The memories of a translator: their size and languages, units in and out, what is being done to them.
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import type { Memory } from '../shared/types'
import { useOffer } from '../shared/useOffer'
import { AttachRemote } from '../remote/AttachRemote'
import { Offered } from '../sharing/Offered'
import { MemoryLine } from './MemoryLine'
import { NewMemory } from './NewMemory'
import { changeMemory, useMemories } from './queries'
import { useAttempt } from './useAttempt'
import './memories.css'

export function Memories() {
  const { t } = useTranslation()
  const memories = useMemories()
  const attempt = useAttempt(() => memories.refetch())
  const offer = useOffer('removed')
  const remove = (memory: Memory) =>
    attempt(async () => {
      await api.delete(`/memories/${memory.id}`)
      const back = () => attempt(() => changeMemory(memory.id, { deleted: false }))
      offer(t('memories.removed', { name: memory.name }), t('memories.undo'), back)
    })
  const { data, error } = memories
  if (!data)
    return (
      <Frame>{error ? <Failure error={error} again={() => void memories.refetch()} /> : <Waiting />}</Frame>
    )
  return (
    <Frame>
      <div className="sheet-view">
        <h1>{t('memories.title')}</h1>
        <p className="quiet">{t(data.length ? 'memories.lead' : 'memories.empty')}</p>
        <Offered kind="memory" onTaken={() => memories.refetch()} />
        <ul className="lines">
          {data.map((memory) => (
            <MemoryLine key={memory.id} memory={memory} attempt={attempt} onRemove={() => remove(memory)} />
          ))}
          <li>
            <NewMemory attempt={attempt} />
          </li>
          <li>
            <AttachRemote kind="memory" onAttached={() => memories.refetch()} />
          </li>
        </ul>
      </div>
    </Frame>
  )
}

// The memories of the project: order, when each learns, points off.
import { useTranslation } from 'react-i18next'
import type { AttachedMemory, Memory, Project } from '../shared/types'
import { AddMemory } from './AddMemory'
import { OlderTranslation } from './OlderTranslation'
import type { Change } from './Brief'
import { makeMemory, useMemoriesOfPair } from './queries'
import { AttachedMemoryRow } from './AttachedMemoryRow'
import type { Attempt } from './useChanges'

interface Props {
  project: Project
  change: Change
  attempt: Attempt
}

// A memory of the project as it is put there at first.
const attached = (memory: Memory): AttachedMemory => ({
  memory_id: memory.id,
  name: memory.name,
  source_lang: memory.source_lang,
  target_lang: memory.target_lang,
  units: memory.units,
  learns: memory.remote ? 'confirm' : 'deliver',
  read_only: memory.remote ? !memory.remote.writes : false,
  penalty: memory.remote?.penalty ?? 0,
  region_penalty: 0,
  server: memory.remote?.server ?? null,
})

export function ProjectMemories({ project, change, attempt }: Props) {
  const { t } = useTranslation()
  const paired = !!project.source_lang && !!project.target_lang
  return (
    <>
      <h2>{t('brief.memories')}</h2>
      {paired ? (
        <Paired {...{ project, change, attempt }} />
      ) : (
        <p className="small quiet">{t('brief.pairFirst')}</p>
      )}
    </>
  )
}

function Paired({ project, change, attempt }: Props) {
  const { t } = useTranslation()
  const all = useMemoriesOfPair(project.source_lang, project.target_lang)
  const rows = project.memories
  const save = (list: AttachedMemory[]) =>
    change({
      memories: list.map(({ memory_id, learns, read_only, penalty }) => ({
        memory_id,
        learns,
        read_only,
        penalty,
      })),
    })
  const free = (all.data ?? []).filter((memory) => !rows.some((row) => row.memory_id === memory.id))
  const fixed = !!project.begun_at
  return (
    <>
      <ol className="stock">
        {!fixed && <Own reference={project.reference} />}
        {rows.map((row, index) => (
          <AttachedMemoryRow
            key={row.memory_id}
            row={row}
            beside={project}
            rank={index + (fixed ? 1 : 2)}
            first={index === 0}
            last={index === rows.length - 1}
            onEdit={(fields) =>
              save(rows.map((one, other) => (other === index ? { ...one, ...fields } : one)))
            }
            onMove={(by) => save(moved(rows, index, by))}
            onDetach={() => save(rows.filter((_, other) => other !== index))}
          />
        ))}
      </ol>
      {!rows.length && !free.length && !fixed && <p className="small quiet">{t('brief.noMemories')}</p>}
      <p className="small add">
        <AddMemory
          project={project}
          free={free}
          onAdd={(memory) => save([...rows, attached(memory)])}
          onMake={(name) =>
            attempt(async () => {
              const memory = await makeMemory(name, project.source_lang, project.target_lang)
              save([...rows, attached(memory)])
              await all.refetch()
            })
          }
        />
      </p>
      <OlderTranslation project={project.id} />
      {project.proposed.as_in && !fixed && rows.length > 0 && (
        <p className="small quiet as-in">{t('brief.asIn', { reference: project.proposed.as_in })}</p>
      )}
    </>
  )
}

function moved(rows: AttachedMemory[], from: number, by: number) {
  const list = [...rows]
  const [row] = list.splice(from, 1)
  list.splice(from + by, 0, row)
  return list
}

// The memory that is made with the project.
function Own({ reference }: { reference: string | null }) {
  const { t } = useTranslation()
  return (
    <li>
      <span className="rank tab">1</span>
      <span className="name">{t('brief.ownNew', { reference: reference ?? t('brief.own') })}</span>
      <span className="small quiet">{t('brief.learns.confirm')}</span>
    </li>
  )
}

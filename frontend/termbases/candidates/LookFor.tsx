// Looking for candidates: in a project, a memory or files; what the last look found or why it did not.
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../../shared/api'
import { ChoiceInPlace } from '../../shared/parts/ChoiceInPlace'
import { TwoLanguages } from '../../shared/parts/TwoLanguages'
import { keys } from '../../shared/queryKeys'
import { OperationProgress } from '../../operations/OperationProgress'
import { isUnderWay } from '../../operations/queries'
import type { Memory, Operation, TermbasePage } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { lookIn, lookInFile } from './queries'

const FIRST = 'en-GB'

interface Props {
  termbase: TermbasePage
  search: Operation | null
  onBegun: () => void
}

export function LookFor({ termbase, search, onBegun }: Props) {
  const { t } = useTranslation()
  const { act } = useAct()
  const places = usePlaces()
  const begin = (work: () => Promise<unknown>) =>
    void act(async () => {
      await work()
      onBegun()
    })
  return (
    <div className="look-for">
      <p className="presses small">
        {t('candidates.lookIn')}
        <ChoiceInPlace
          label={t('candidates.place')}
          blank={t('candidates.place')}
          value={null}
          options={places}
          onChange={(value) => begin(() => lookIn(termbase.id, JSON.parse(value) as Record<string, number>))}
        />
        <InFile
          termbase={termbase}
          onFile={(file, pair) => begin(() => lookInFile(termbase.id, file, pair))}
        />
      </p>
      {search && isUnderWay(search) && <OperationProgress operation={search} onCancelled={onBegun} />}
      {search && !isUnderWay(search) && (
        <p className="small quiet" role="status">
          {search.message ?? t('candidates.found', { name: search.summary, count: search.result.found ?? 0 })}
        </p>
      )}
    </div>
  )
}

// Projects and memories, as one list.
function usePlaces() {
  const { t } = useTranslation()
  const projects = useQuery({
    queryKey: keys.today,
    queryFn: () => api.get<{ projects: { id: number; name: string }[] }>('/today'),
  }).data
  const memories = useQuery({ queryKey: keys.memories(), queryFn: () => api.get<Memory[]>('/memories') }).data
  return [
    ...(projects?.projects ?? []).map(({ id, name }) => ({
      value: JSON.stringify({ project_id: id }),
      label: t('candidates.inProject', { name }),
    })),
    ...(memories ?? []).map(({ id, name }) => ({
      value: JSON.stringify({ memory_id: id }),
      label: t('candidates.inMemory', { name }),
    })),
  ]
}

interface InFileProps {
  termbase: TermbasePage
  onFile: (file: File, languages: [string, string]) => void
}

function InFile({ termbase, onFile }: InFileProps) {
  const { t } = useTranslation()
  const [source, setSource] = useState(termbase.languages[0] ?? FIRST)
  const [target, setTarget] = useState(termbase.languages[1] ?? null)
  return (
    <span>
      <label className="plain-link chooser">
        {t('candidates.inFile')}
        <input
          type="file"
          className="hidden-text"
          aria-label={t('candidates.inFile')}
          onChange={(event) => {
            const file = event.target.files?.[0]
            if (file) onFile(file, [source, target ?? source])
            event.target.value = ''
          }}
        />
      </label>{' '}
      <TwoLanguages {...{ source, target }} onSource={setSource} onTarget={setTarget} />
    </span>
  )
}

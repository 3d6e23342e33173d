// The files of a quick count as they are read, what they are counted against, and the count.
import { Button } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useMemoriesOfPair } from '../brief/queries'
import { number } from '../shared/i18n'
import { languageOptions } from '../shared/languages'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import type { DocumentRow, Project } from '../shared/types'
import type { Quick } from './useQuickCount'

export function QuickFiles({ project, quick }: { project: Project; quick: Quick }) {
  const { t } = useTranslation()
  const [memories, setMemories] = useState<number[]>([])
  const read = !project.documents.some((one) => one.state === 'waiting' || one.state === 'reading')
  const some = project.documents.some((one) => one.state === 'ready')
  return (
    <>
      <ul className="quick-files">
        {project.documents.map((row) => (
          <FileLine key={row.id} row={row} />
        ))}
      </ul>
      <dl className="quick-terms">
        <Language project={project} quick={quick} name="source_lang" label={t('count.from')} />
        <Language project={project} quick={quick} name="target_lang" label={t('count.into')} />
        <Against {...{ project, memories, setMemories }} />
      </dl>
      <p className="acts">
        <Button
          type="primary"
          size="large"
          disabled={!read || !some}
          loading={quick.busy}
          onClick={() => quick.count(memories)}
        >
          {t('count.countNow')}
        </Button>
        <button type="button" className="link" disabled={!read || !some} onClick={quick.makeProject}>
          {t('count.makeProject')}
        </button>
      </p>
    </>
  )
}

function FileLine({ row }: { row: DocumentRow }) {
  const { t } = useTranslation()
  const state = {
    ready: t('count.fileReady', { words: number(row.facts.words ?? 0), format: row.format }),
    refused: row.message,
    waiting: t('brief.waiting'),
    reading: t('brief.reading', { done: row.done, total: row.total }),
    cancelled: t('brief.cancel'),
  }[row.state]
  return (
    <li>
      <b>{row.name}</b>
      <span className={`small ${row.state === 'refused' ? 'alarm' : 'quiet'}`}>{state}</span>
    </li>
  )
}

interface LanguageProps {
  project: Project
  quick: Quick
  name: 'source_lang' | 'target_lang'
  label: string
}

const Language = ({ project, quick, name, label }: LanguageProps) => {
  const { t } = useTranslation()
  return (
    <div>
      <dt>{label}</dt>
      <dd>
        <ChoiceInPlace
          label={label}
          blank={t('brief.chooseLanguage')}
          value={project[name]}
          options={languageOptions}
          onChange={(tag) => quick.change({ [name]: tag })}
        />
      </dd>
    </div>
  )
}

interface AgainstProps {
  project: Project
  memories: number[]
  setMemories: (ids: number[]) => void
}

// The memories of the pair that it is counted against.
function Against({ project, memories, setMemories }: AgainstProps) {
  const { t } = useTranslation()
  const all = useMemoriesOfPair(project.source_lang, project.target_lang).data ?? []
  const free = all.filter((memory) => !memories.includes(memory.id))
  return (
    <div>
      <dt>{t('count.against')}</dt>
      <dd>
        {!memories.length && <span className="quiet">{t('count.noMemories')}</span>}
        {all
          .filter((memory) => memories.includes(memory.id))
          .map((memory) => (
            <p key={memory.id}>
              {memory.name}{' '}
              <button
                type="button"
                className="quiet small"
                aria-label={`${t('count.dropOut')}: ${memory.name}`}
                onClick={() => setMemories(memories.filter((id) => id !== memory.id))}
              >
                ✕
              </button>
            </p>
          ))}{' '}
        {free.length > 0 && (
          <ChoiceInPlace
            label={t('count.addMemory')}
            blank={t('count.addMemory')}
            value={null}
            options={free.map((memory) => ({ value: String(memory.id), label: memory.name }))}
            onChange={(id) => setMemories([...memories, Number(id)])}
          />
        )}
      </dd>
    </div>
  )
}

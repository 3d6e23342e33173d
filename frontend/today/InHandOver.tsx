// What is in a hand-over, before anything is made of it.
import { useTranslation } from 'react-i18next'
import { longDate, number, time } from '../shared/i18n'
import { languageName } from '../shared/languages'

export interface HandOverLook {
  from: string
  // A whole project, or files given away.
  archive: boolean
  task: string
  instructions: string
  name: string
  reference: string | null
  client: string | null
  due_at: string | null
  source_lang: string
  target_lang: string
  files: { name: string; words: number }[]
  words: number
  segments: number
  memories: string[]
  termbases: string[]
}

export function InHandOver({ look }: { look: HandOverLook }) {
  const { t } = useTranslation()
  const languages = `${languageName(look.source_lang)} → ${languageName(look.target_lang)}`
  const along = [...look.memories, ...look.termbases]
  return (
    <div className="in-hand-over">
      <p>
        <b>{[look.reference, look.name].filter(Boolean).join(' · ')}</b>
        <br />
        <span className="quiet">{[look.client, languages].filter(Boolean).join(' · ')}</span>
      </p>
      <p>{t('handOver.words', { words: number(look.words), segments: number(look.segments) })}</p>
      <ul>
        {look.files.map((file) => (
          <li key={file.name}>
            {file.name} {file.words > 0 && <span className="quiet tab">{number(file.words)}</span>}
          </li>
        ))}
      </ul>
      {look.task && <p>{look.task}</p>}
      {look.instructions && <p className="said">{look.instructions}</p>}
      {look.due_at && <p>{t('handOver.due', { date: `${longDate(look.due_at)}, ${time(look.due_at)}` })}</p>}
      {along.length > 0 && <p className="quiet">{t('handOver.along', { list: along.join(', ') })}</p>}
    </div>
  )
}

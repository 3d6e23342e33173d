// What was found for words: each with its translation, where it is from, and a way to take it.
import { useTranslation } from 'react-i18next'
import { fullDate } from '../i18n'
import type { Hit, Project } from '../types'

interface Props {
  found?: { hits: Hit[]; more: boolean }
  languages: Pick<Project, 'source_lang' | 'target_lang'>
  // Not there while no segment is open.
  onInsert?: (value: string) => void
  // Not there where there are no hits of a project.
  onOpen?: (id: number) => void
}

export function Hits({ found, languages, onInsert, onOpen }: Props) {
  const { t } = useTranslation()
  if (!found) return <p className="quiet">{t('companion.searchEmpty')}</p>
  const { hits, more } = found
  if (!hits.length)
    return (
      <p className="quiet" role="status">
        {t('companion.searchNone')}
      </p>
    )
  return (
    <>
      <p className="small quiet" role="status">
        {t(more ? 'companion.hitsMore' : 'companion.hits', { count: hits.length })}
      </p>
      <ol className="hits">
        {hits.map((hit, index) => (
          <li key={`${hit.kind}${hit.unit ?? hit.segment ?? `far${index}`}`}>
            <p className="reading" lang={languages.source_lang ?? undefined}>
              <Marks text={hit.source} marks={hit.side === 'source' ? hit.marks : []} />
            </p>
            <p className="reading target" lang={languages.target_lang ?? undefined}>
              <Marks text={hit.target} marks={hit.side === 'target' ? hit.marks : []} />
            </p>
            <p className="small quiet">
              <From hit={hit} onOpen={onOpen} />
              {onInsert && hit.target && <PutIn hit={hit} onInsert={onInsert} />}
            </p>
          </li>
        ))}
      </ol>
    </>
  )
}

function From({ hit, onOpen }: Pick<Props, 'onOpen'> & { hit: Hit }) {
  const { t } = useTranslation()
  if (hit.kind === 'project')
    return (
      <button type="button" className="plain-link" onClick={() => hit.segment && onOpen?.(hit.segment)}>
        {t('companion.here', { number: hit.position, file: hit.file })}
      </button>
    )
  const by = [hit.author, hit.changed_at && fullDate(hit.changed_at)].filter(Boolean).join(', ')
  return [hit.memory, by, hit.client, hit.project].filter(Boolean).join(' · ')
}

// What is selected in the hits, that alone, else all of it.
const chosenIn = (hit: Hit) => {
  const selection = window.getSelection()
  const inHits = selection?.anchorNode?.parentElement?.closest('.hits .target')
  return (inHits && selection?.toString().trim()) || hit.target
}

function PutIn({ hit, onInsert }: { hit: Hit; onInsert: (value: string) => void }) {
  const { t } = useTranslation()
  return (
    <>
      {' · '}
      <button
        type="button"
        className="link"
        onMouseDown={(event) => event.preventDefault()}
        onClick={() => onInsert(chosenIn(hit))}
      >
        {t('companion.putIn')}
      </button>
    </>
  )
}

function Marks({ text, marks }: { text: string; marks: [number, number][] }) {
  const letters = Array.from(text)
  const end = marks.length ? marks[marks.length - 1][1] : 0
  return (
    <>
      {marks.map(([from, to], index) => (
        <span key={from}>
          {letters.slice(index ? marks[index - 1][1] : 0, from).join('')}
          <mark>{letters.slice(from, to).join('')}</mark>
        </span>
      ))}
      {letters.slice(end).join('')}
    </>
  )
}

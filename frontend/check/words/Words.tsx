// The words of a whole text that no dictionary knows, each once with its places: kept as right, passed over, or
// corrected everywhere.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { Failure, Waiting } from '../../shared/Notices'
import type { Project } from '../../shared/types'
import { SideView } from '../SideView'
import { useUnknownWords, type UnknownWord } from './queries'
import { WordRow } from './WordRow'

export function Words() {
  const id = Number(useParams().id)
  const { t } = useTranslation()
  return (
    <SideView id={id} title={t('check.wordsTitle')}>
      {(project) => <List project={project} />}
    </SideView>
  )
}

function List({ project }: { project: Project }) {
  const { t } = useTranslation()
  const { data, error, refetch } = useUnknownWords(project.id)
  const [skipped, setSkipped] = useState<ReadonlySet<string>>(new Set())
  if (error) return <Failure error={error} again={() => void refetch()} />
  if (!data) return <Waiting />
  const words = data.words.filter(({ word }) => !skipped.has(word))
  if (!data.there) return <p className="quiet">{t('check.noDictionary')}</p>
  if (!words.length) return <p className="quiet">{t('check.wordsNone')}</p>
  return (
    <>
      <p className="small quiet" role="status">
        {t('check.wordsCount', {
          count: words.length,
          places: t('check.placesOf', { count: placesOf(words) }),
        })}
      </p>
      <ul className="misspelt-words">
        {words.map((word) => (
          <WordRow
            key={word.word}
            {...{ project, word }}
            onSkip={() => setSkipped(new Set([...skipped, word.word]))}
            onDone={() => void refetch()}
          />
        ))}
      </ul>
    </>
  )
}

const placesOf = (words: UnknownWord[]) => words.reduce((sum, { count }) => sum + count, 0)

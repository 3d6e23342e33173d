// A word that no dictionary knows: what it may have been meant to be, where it stands, where it may be right.
import { Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { direction } from '../../shared/languages'
import type { Project } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { useOffer } from '../../shared/useOffer'
import { Spots } from '../Spots'
import { finished } from '../../operations/follow'
import { undoOperation } from '../../operations/queries'
import { correctEverywhere, learn, useSuggestions, type UnknownWord, type WordPlace } from './queries'

interface Props {
  project: Project
  word: UnknownWord
  onSkip: () => void
  onDone: () => void
}
const SUGGESTED = 4

export function WordRow({ project, word: { word, count, places }, onSkip, onDone }: Props) {
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  const { act } = useAct()
  const offer = useOffer('word')
  const undo = (made: number) =>
    void act(async () => {
      await finished(await undoOperation(made))
      onDone()
    })
  const correct = (right: string) =>
    void act(async () => {
      const made = await finished(await correctEverywhere(project.id, word, right))
      offer(t('check.corrected', { count: made.result.count ?? 0 }), t('operations.undo'), () =>
        undo(made.id),
      )
      onDone()
    })
  const keep = (where: string) =>
    void act(async () => {
      await learn(project.id, word, where)
      onDone()
    })
  return (
    <li>
      <button type="button" className="word" aria-expanded={open} onClick={() => setOpen(!open)}>
        <b lang={project.target_lang ?? undefined}>{word}</b>{' '}
        <span className="quiet small">{t('check.placesOf', { count })}</span>
      </button>
      <Right {...{ project, onSkip }} onKeep={keep} />
      {!open && places[0] && <Place project={project} place={places[0]} />}
      {open && <Correcting {...{ project, word }} onCorrect={correct} />}
      {open && places.map((place, index) => <Place key={index} {...{ project, place }} />)}
      {open && count > places.length && (
        <p className="small quiet">{t('check.morePlaces', { count: count - places.length })}</p>
      )}
    </li>
  )
}

interface RightProps {
  project: Project
  onKeep: (where: string) => void
  onSkip: () => void
}

// Where a word may be kept as right.
function Right({ project, onKeep, onSkip }: RightProps) {
  const { t } = useTranslation()
  return (
    <span className="right small">
      <button type="button" className="plain-link" onClick={() => onKeep('mine')}>
        {t('check.learnMine')}
      </button>
      {project.client && (
        <button type="button" className="plain-link" onClick={() => onKeep('client')}>
          {t('check.learnClient', { client: project.client })}
        </button>
      )}
      <button type="button" className="plain-link" onClick={() => onKeep('project')}>
        {t('check.learnProject')}
      </button>
      <button type="button" className="plain-link" onClick={onSkip}>
        {t('check.skipWord')}
      </button>
    </span>
  )
}

interface CorrectingProps {
  project: Project
  word: string
  onCorrect: (right: string) => void
}

function Correcting({ project, word, onCorrect }: CorrectingProps) {
  const { t } = useTranslation()
  const { data } = useSuggestions(project.id, word, true)
  const [right, setRight] = useState(word)
  return (
    <form
      className="correcting"
      onSubmit={(event) => {
        event.preventDefault()
        if (right.trim() && right !== word) onCorrect(right)
      }}
    >
      {(data?.suggestions ?? []).slice(0, SUGGESTED).map((one) => (
        <button key={one} type="button" className="suggestion" onClick={() => setRight(one)}>
          {one}
        </button>
      ))}
      <Input
        size="small"
        lang={project.target_lang ?? undefined}
        aria-label={t('check.correctTo', { word })}
        value={right}
        onChange={(event) => setRight(event.target.value)}
      />
      <button type="submit" className="link small" disabled={!right.trim() || right === word}>
        {t('check.correct')}
      </button>
    </form>
  )
}

function Place({ project, place }: { project: Project; place: WordPlace }) {
  return (
    <Link className="place" to={`/projects/${project.id}/translate#${place.segment_id}`}>
      <span className="small quiet">{place.number}</span>{' '}
      <span lang={project.target_lang ?? undefined} dir={direction(project.target_lang)}>
        <Spots text={place.text} spans={[[place.from, place.to]]} />
      </span>
    </Link>
  )
}

// The open segment: its source, the target being written, and the proposals right below.
import type { Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { Here } from '../Here'
import { Moon } from '../../shared/parts/Moon'
import type { Project, Segment } from '../../shared/types'
import { TargetEditor } from '../editor/TargetEditor'
import type { Store } from '../store'
import { CardFoot } from './CardFoot'
import type { CardHandle } from './cardHandle'
import { CutLine } from './CutLine'
import { Misspelt } from './Misspelt'
import { NewTerm } from './NewTerm'
import { Proposals } from './Proposals'
import { Source } from './Source'
import { TermPairs } from './TermPairs'
import { TwoWordings } from './TwoWordings'
import { useCard } from './useCard'
import { CueMeters } from '../timed/CueMeters'
import { CueTimes } from '../timed/CueTimes'
import { Sentence } from '../timed/Sentence'

interface Props {
  segment: Segment
  store: Store
  project: Project
  cutting: boolean
  onCut: (at: number) => void
  onLeaveCut: () => void
  onFinish: () => void
  onSay: (text: string) => void
  onEntry: (entry: number) => void
  ref: Ref<CardHandle>
}

export function Card(props: Props) {
  const { segment, store, project, cutting, onCut, onLeaveCut, onFinish, onSay, onEntry, ref } = props
  const { t } = useTranslation()
  const card = useCard({ segment, store, project, onSay, ref })
  const { target, pending, show, changed, offered, terms, spelling, completion } = card
  const { take, ...listed } = offered
  const label = t('translate.segment', { number: segment.position })
  return (
    <div className={`card block-${segment.block}`} aria-label={label} role="group">
      <div className="inner">
        <div className="gutter">
          <span>{segment.position}</span>
          <Moon state={segment.state} />
        </div>
        <div>
          <Here segment={segment} />
          <CueTimes segment={segment.id} store={store} />
          <Source segment={segment} project={project} marks={terms.marks} />
          <Sentence segment={segment.id} store={store} />
          {cutting && (
            <CutLine
              segment={segment}
              lang={project.source_lang}
              onCut={onCut}
              onClose={() => {
                onLeaveCut()
                target.current?.focus()
              }}
            />
          )}
          {terms.adding.asked && (
            <NewTerm
              halves={terms.adding.asked}
              project={project}
              onAdd={terms.adding.addAsked}
              onClose={terms.adding.leave}
            />
          )}
          <TermPairs pairs={terms.pairs} onPut={terms.putTerm} onEntry={onEntry} />
          <TargetEditor
            ref={target}
            segment={segment}
            lang={project.target_lang ?? ''}
            describedBy={`source-${segment.id}`}
            onChange={changed}
            onSpell={spelling.look}
            complete={completion.completing}
            onDropped={() => onSay(t('translate.droppedCharacters'))}
          />
          {spelling.word && (
            <Misspelt
              project={project}
              word={spelling.word}
              onTake={spelling.take}
              onLearned={spelling.learned}
              onSkip={spelling.skip}
              onClose={spelling.leave}
            />
          )}
          {pending?.trouble?.kind === 'changed' && (
            <TwoWordings {...{ segment, project, store }} entry={pending} onTheirs={show} />
          )}
        </div>
      </div>
      <CueMeters segment={segment} />
      <CardFoot {...{ segment, store, pending, onFinish }} toCome={terms.toCome} onCarry={terms.carry} />
      <Proposals {...{ segment, project, ...listed }} onTake={take} />
    </div>
  )
}

// The open segment: its source, the target being written, and the proposals right below.
import { useQuery } from '@tanstack/react-query'
import { useImperativeHandle, useRef, type Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { missingCodes } from '../../shared/balance'
import { Moon } from '../../shared/parts/Moon'
import type { Origin, Project, Proposal, Segment } from '../../shared/types'
import { TargetEditor, type TargetHandle } from '../editor/TargetEditor'
import { proposalsQuery } from '../queries'
import type { Store } from '../store'
import { CardFoot } from './CardFoot'
import { chosenText, type Chosen } from './chosenText'
import { CutLine } from './CutLine'
import { Misspelt } from './Misspelt'
import { Proposals } from './Proposals'
import { Source } from './Source'
import { TermPairs } from './TermPairs'
import { TwoWordings } from './TwoWordings'
import { useSpelling } from './useSpelling'
import { useTaking } from './useTaking'
import { useTerms } from './useTerms'
import { useWriting } from './useWriting'

export interface CardHandle {
  finish: () => boolean
  take: (number?: number) => void
  choose: (step: number) => void
  missingCode: () => void
  undo: () => void
  redo: () => void
  write: (value: string, origin: Origin) => void
  insert: (text: string) => void
  selected: () => Chosen
  putTerm: (number: number) => void
  addTerm: (place?: number) => void
  carry: () => void
  spelling: () => void
  // The entry of its first term, or null.
  firstEntry: () => number | null
}

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

const NONE: Proposal[] = []

export function Card(props: Props) {
  const { segment, store, project, cutting, onCut, onLeaveCut, onFinish, onSay, onEntry, ref } = props
  const { t } = useTranslation()
  const target = useRef<TargetHandle>(null)
  const { data, isFetching } = useQuery(proposalsQuery(segment.id))
  const proposals = data?.proposals ?? NONE
  const { put, show, changed, confirm } = useWriting(segment, store, target)
  const terms = useTerms({ segment, project, target, say: onSay })
  const spelling = useSpelling(project, target, onSay)
  const pending = store.outbox.pending(segment.id)

  const { chosen, take, choose } = useTaking(segment, proposals, put)
  const finish = () => {
    const value = target.current?.value() ?? segment.target
    if (!value.trim()) {
      onSay(t('translate.empty_target'))
      return false
    }
    confirm(value)
    const lost = missingCodes(segment.source, value)
    if (lost.length) onSay(t('translate.lost', { codes: lost.join(' ') }))
    return true
  }
  useImperativeHandle(ref, () => ({
    take,
    finish,
    write: put,
    insert: (text) => target.current?.insert(text),
    selected: () => chosenText(target.current?.selected() ?? ''),
    undo: () => target.current?.undo(),
    redo: () => target.current?.redo(),
    choose,
    missingCode: () => target.current?.insertMissing(),
    putTerm: terms.putTerm,
    addTerm: terms.add,
    carry: terms.carry,
    spelling: spelling.open,
    firstEntry: () => terms.pairs[0]?.entry ?? null,
  }))

  const label = t('translate.segment', { number: segment.position })
  return (
    <div className={`card block-${segment.block}`} aria-label={label} role="group">
      <div className="inner">
        <div className="gutter">
          <span>{segment.position}</span>
          <Moon state={segment.state} />
        </div>
        <div>
          <Source segment={segment} project={project} marks={terms.marks} />
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
          <TermPairs pairs={terms.pairs} onPut={terms.putTerm} onEntry={onEntry} />
          <TargetEditor
            ref={target}
            segment={segment}
            lang={project.target_lang ?? ''}
            describedBy={`source-${segment.id}`}
            onChange={changed}
            onSpell={spelling.look}
            onDropped={() => onSay(t('translate.droppedCharacters'))}
          />
          {spelling.word && (
            <Misspelt
              project={project}
              word={spelling.word}
              onTake={spelling.take}
              onLearned={spelling.learned}
              onClose={spelling.leave}
            />
          )}
          {pending?.trouble?.kind === 'changed' && (
            <TwoWordings {...{ segment, project, store }} entry={pending} onTheirs={show} />
          )}
        </div>
      </div>
      <CardFoot {...{ segment, store, pending, onFinish }} toCome={terms.toCome} onCarry={terms.carry} />
      <Proposals {...{ proposals, segment, project, chosen }} searching={isFetching} onTake={take} />
    </div>
  )
}

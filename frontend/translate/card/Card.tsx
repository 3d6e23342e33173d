// The open segment: its source, the target being written, and the proposals right below.
import { useImperativeHandle, useRef, type Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { Here } from '../Here'
import { Moon } from '../../shared/parts/Moon'
import { plain } from '../../shared/content'
import type { Origin, Project, Segment } from '../../shared/types'
import { TargetEditor } from '../editor/TargetEditor'
import type { TargetHandle } from '../editor/targetHandle'
import type { Store } from '../store'
import { CardFoot } from './CardFoot'
import type { CardHandle } from './cardHandle'
import { chosenText } from './chosenText'
import { CutLine } from './CutLine'
import { Misspelt } from './Misspelt'
import { NewTerm } from './NewTerm'
import { Proposals } from './Proposals'
import { Source } from './Source'
import { TermPairs } from './TermPairs'
import { TwoWordings } from './TwoWordings'
import { useCompletion } from './useCompletion'
import { useProposals } from './useProposals'
import { useSpelling } from './useSpelling'
import { useTaking } from './useTaking'
import { useTerms } from './useTerms'
import { useWarning } from './useWarning'
import { useWriting, withoutBlank } from './useWriting'
import { CueMeters } from '../timed/CueMeters'
import { CueTimes } from '../timed/CueTimes'
import { Sentence } from '../timed/Sentence'
import { useLineBreaks } from '../timed/useLineBreaks'
import { useSentence, withSentence } from '../timed/useSentence'

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
  const target = useRef<TargetHandle>(null)
  const { put, show, changed, confirm } = useWriting(segment, store, target)
  const own = useProposals({ segment, project, target, put })
  const { given, trouble, searching } = own
  const sentence = useSentence({ segment, store, put, say: onSay })
  const proposals = withSentence(own.proposals, sentence.proposals)
  const putDivided = (text: string, origin: Origin) => void sentence.putDivided(text, origin)
  const terms = useTerms({ segment, project, target, say: onSay })
  const spelling = useSpelling(project, segment, target, onSay)
  const warn = useWarning(segment, onSay)
  const completion = useCompletion(segment, target, onSay, given)
  const pending = store.outbox.pending(segment.id)
  const write = (value: string) => {
    show(value)
    changed(value)
  }
  const breakLines = useLineBreaks({ segment, target, write, say: onSay })

  const { chosen, take, choose, takeWords } = useTaking({ segment, proposals, put, putDivided, target })
  const finish = () => {
    const value = withoutBlank(target.current?.value() ?? segment.target, segment.source)
    if (!value.trim()) {
      onSay(t('translate.empty_target'))
      return false
    }
    confirm(value)
    void warn(value)
    return true
  }
  useImperativeHandle(ref, () => ({
    take,
    takeWords,
    finish,
    write: put,
    insert: (text) => target.current?.insert(text),
    selected: () => chosenText(target.current?.selected() ?? ''),
    clear: () => put('', { kind: 'typed' }),
    focus: () => target.current?.focus(),
    undo: () => target.current?.undo(),
    redo: () => target.current?.redo(),
    choose,
    missingCode: () => target.current?.insertMissing(),
    putTerm: terms.putTerm,
    addTerm: terms.adding.add,
    carry: terms.carry,
    spelling: spelling.open,
    offers: completion.open,
    breakLines: (which) => void breakLines(which),
    divide: () => putDivided(plain(target.current?.value() ?? '', segment.codes), { kind: 'typed' }),
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
          <Here segment={segment} />
          <CueTimes segment={segment.id} />
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
      <Proposals
        {...{ proposals, segment, project, chosen }}
        trouble={trouble}
        searching={searching}
        onTake={take}
      />
    </div>
  )
}

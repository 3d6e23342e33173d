// All that an open card knows and does: writing, proposals, terms, spelling, completion, what keys ask of it.
import { useImperativeHandle, useRef, type Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import type { Origin, Project, Segment } from '../../shared/types'
import type { TargetHandle } from '../editor/targetHandle'
import type { Store } from '../store'
import { useLineBreaks } from '../timed/useLineBreaks'
import { useSentence, withSentence } from '../timed/useSentence'
import type { CardHandle } from './cardHandle'
import { chosenText } from './chosenText'
import { useCompletion } from './useCompletion'
import { useProposals } from './useProposals'
import { useSpelling } from './useSpelling'
import { useTaking } from './useTaking'
import { useTerms } from './useTerms'
import { useWarning } from './useWarning'
import { useWriting, withoutBlank } from './useWriting'

interface Parts {
  segment: Segment
  store: Store
  project: Project
  onSay: (text: string) => void
  ref: Ref<CardHandle>
}

export function useCard({ segment, store, project, onSay, ref }: Parts) {
  const { t } = useTranslation()
  const target = useRef<TargetHandle>(null)
  const { put, show, changed, confirm } = useWriting(segment, store, target)
  const own = useProposals({ segment, project, target, put })
  const { given, trouble, searching, elsewhere } = own
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

  const offered = { proposals, trouble, elsewhere, searching, chosen, take }
  return { target, pending, show, changed, offered, terms, spelling, completion }
}

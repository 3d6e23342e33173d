// One candidate: the term and what it is likely translated as, how often it stands there, and, while it is
// the current one, sentences it stands in.
import { Input, type InputRef } from 'antd'
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import type { CandidateState, TermCandidate } from '../../shared/types'

export interface Decision {
  said: 'accepted' | 'later' | 'refused' | 'waiting'
  state?: CandidateState
  accept?: { source: string; target: string }
}

interface Props {
  candidate: TermCandidate
  state: CandidateState
  current: boolean
  onCurrent: () => void
  onWalk: (step: number) => void
  onDecide: (decision: Decision) => void
}

export function Candidate({ candidate, state, current, onCurrent, onWalk, onDecide }: Props) {
  const { t } = useTranslation()
  const row = useRef<HTMLDivElement>(null)
  const target = useRef<InputRef>(null)
  const [source, setSource] = useState(candidate.text)
  const [translation, setTranslation] = useState(candidate.translation ?? '')
  useEffect(() => {
    if (current && !row.current?.contains(document.activeElement)) row.current?.focus({ preventScroll: true })
    if (current) row.current?.scrollIntoView({ block: 'nearest' })
  }, [current])
  const accept = () =>
    translation.trim()
      ? onDecide({ said: 'accepted', accept: { source, target: translation } })
      : target.current?.focus()
  const put = (to: 'later' | 'refused' | 'waiting') => onDecide({ said: to, state: to })
  const press = (event: KeyboardEvent) => {
    const work = workOf(event, { accept, put, onWalk, edit: () => target.current?.focus({ cursor: 'all' }) })
    if (!work) return
    event.preventDefault()
    event.stopPropagation()
    work(row.current)
  }
  return (
    <div
      ref={row}
      role="row"
      className={current ? 'candidate current' : 'candidate'}
      tabIndex={current ? 0 : -1}
      aria-label={t('candidates.row', { term: candidate.text, count: candidate.count })}
      onFocus={onCurrent}
      onKeyDown={press}
    >
      {current && state !== 'accepted' ? (
        <>
          <span role="gridcell">
            <Input
              aria-label={t('candidates.source')}
              value={source}
              onChange={(event) => setSource(event.target.value)}
            />
          </span>
          <span role="gridcell">
            <Input
              ref={target}
              aria-label={t('candidates.target')}
              placeholder={t('candidates.noTranslation')}
              value={translation}
              onChange={(event) => setTranslation(event.target.value)}
            />
          </span>
        </>
      ) : (
        <>
          <span role="gridcell" className="reading">
            {source}
          </span>
          <span role="gridcell" className={translation ? 'reading' : 'small quiet'}>
            {translation || t('candidates.noTranslation')}
          </span>
        </>
      )}
      <span role="gridcell" className="small quiet tab">
        {t('candidates.times', { count: candidate.count })}
      </span>
      <span role="gridcell" className="small decisions">
        {state !== 'accepted' && (
          <button type="button" className="link" tabIndex={-1} onClick={accept}>
            {t('candidates.accept')}
          </button>
        )}
        {(['later', 'refused', 'waiting'] as const)
          .filter((to) => to !== state && (to !== 'waiting' || state !== 'later'))
          .map((to) => (
            <button key={to} type="button" className="plain-link" tabIndex={-1} onClick={() => put(to)}>
              {t(`candidates.put.${to}`)}
            </button>
          ))}
      </span>
      {current && (
        <span role="gridcell" className="examples small">
          {candidate.examples.map((example) => (
            <span key={example}>
              <Example text={example} term={candidate.text} />
            </span>
          ))}
        </span>
      )}
    </div>
  )
}

interface Works {
  accept: () => void
  put: (to: 'later' | 'refused') => void
  onWalk: (step: number) => void
  edit: () => void
}

// What a key does: in a field only Enter, Escape and the arrows up and down are the list's.
function workOf(event: KeyboardEvent, { accept, put, onWalk, edit }: Works) {
  if (event.nativeEvent.isComposing || event.ctrlKey || event.altKey || event.metaKey) return null
  const works: Record<string, (row: HTMLElement | null) => void> = {
    Enter: accept,
    ArrowDown: () => onWalk(1),
    ArrowUp: () => onWalk(-1),
  }
  if (event.target instanceof HTMLInputElement) {
    return event.key === 'Escape' ? (row: HTMLElement | null) => row?.focus() : works[event.key]
  }
  if (event.target instanceof HTMLButtonElement) return null
  return { ...works, Delete: () => put('refused'), ' ': () => put('later'), F2: edit }[event.key]
}

// The sentence with the term marked where it stands as it is written.
function Example({ text, term }: { text: string; term: string }) {
  const at = text.toLowerCase().indexOf(term.toLowerCase())
  if (at < 0) return text
  return (
    <>
      {text.slice(0, at)}
      <mark>{text.slice(at, at + term.length)}</mark>
      {text.slice(at + term.length)}
    </>
  )
}

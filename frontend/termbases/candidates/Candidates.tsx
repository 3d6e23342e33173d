// Terms found in texts and waiting for a decision: walked and decided about by keyboard, each decision with a
// way back.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Waiting } from '../../shared/Notices'
import { Key } from '../../shared/parts/Key'
import type { CandidateState, TermbasePage, TermCandidate } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { useOffer } from '../../shared/useOffer'
import { Candidate, type Decision } from './Candidate'
import { LookFor } from './LookFor'
import { useCandidates, useDecide } from './queries'

const STATES: CandidateState[] = ['waiting', 'later', 'refused', 'accepted']

export function Candidates({ termbase }: { termbase: TermbasePage }) {
  const { t } = useTranslation()
  const [state, setState] = useState<CandidateState>('waiting')
  const query = useCandidates(termbase.id, state)
  const { decide, refresh } = useDecide(termbase.id)
  const { act } = useAct()
  const offer = useOffer('candidates')
  const list = query.data
  if (!list) return <Waiting />
  const told = (candidate: TermCandidate, decision: Decision) =>
    void act(async () => {
      const { said, ...fields } = decision
      await decide(candidate.id, fields)
      offer(t(`candidates.said.${said}`, { term: candidate.text }), t('termbases.undo'), () =>
        act(() =>
          decide(candidate.id, { state: candidate.state === 'accepted' ? 'waiting' : candidate.state }),
        ),
      )
    })
  return (
    <>
      <LookFor termbase={termbase} search={list.search} onBegun={() => void refresh()} />
      <div className="candidate-states" role="tablist" aria-label={t('candidates.title')}>
        {STATES.map((one) => (
          <button
            key={one}
            type="button"
            role="tab"
            aria-selected={one === state}
            onClick={() => setState(one)}
          >
            {t(`candidates.states.${one}`)} <span className="tab">{list.counts[one] ?? 0}</span>
          </button>
        ))}
      </div>
      {list.candidates.length ? (
        <Rows key={state} candidates={list.candidates} state={state} onDecide={told} />
      ) : (
        <p className="quiet">{t(`candidates.none.${state}`)}</p>
      )}
    </>
  )
}

interface RowsProps {
  candidates: TermCandidate[]
  state: CandidateState
  onDecide: (candidate: TermCandidate, decision: Decision) => void
}

function Rows({ candidates, state, onDecide }: RowsProps) {
  const { t } = useTranslation()
  const [at, setAt] = useState(0)
  const current = Math.min(at, candidates.length - 1)
  return (
    <>
      <p className="small quiet candidate-keys">
        <Key keys="ArrowUp" /> <Key keys="ArrowDown" /> {t('candidates.walk')} · <Key keys="Enter" />{' '}
        {t('candidates.accept')} · <Key keys="Space" /> {t('candidates.later')} · <Key keys="Delete" />{' '}
        {t('candidates.refuse')} · <Key keys="F2" /> {t('candidates.edit')}
      </p>
      <div className="candidates" role="grid" aria-label={t('candidates.title')}>
        {candidates.map((candidate, index) => (
          <Candidate
            key={candidate.id}
            candidate={candidate}
            state={state}
            current={index === current}
            onCurrent={() => setAt(index)}
            onWalk={(step) => setAt(Math.max(0, Math.min(candidates.length - 1, current + step)))}
            onDecide={(decision) => onDecide(candidate, decision)}
          />
        ))}
      </div>
    </>
  )
}

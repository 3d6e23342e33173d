// The terms of the open segment beside the text: which there are, and the whole entry of one of them.
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { FoundTerm, Project, Segment } from '../../shared/types'
import { termsQuery, useEntry } from '../queries'
import type { Asked } from './useCompanion'
import type { Only } from './TermPlaces'
import { WholeEntry } from './WholeEntry'

interface Props {
  project: Project
  open: Segment | null
  asked: Asked
  onOnly: (only: Only) => void
}

export function Terms({ project, open, asked, onOnly }: Props) {
  const { t } = useTranslation()
  const found = useQuery({ ...termsQuery(open?.id ?? 0), enabled: open !== null }).data?.terms ?? []
  const [chosen, setChosen] = useState<{ id: number | null; turn: number; segment?: number }>({
    id: asked.entry,
    turn: asked.turn,
  })
  // What was asked for by a key or a press in the card comes before what was chosen here.
  const wanted = chosen.turn === asked.turn && chosen.segment === open?.id ? chosen.id : asked.entry
  const id = found.some((one) => one.entry_id === wanted) ? wanted : (found[0]?.entry_id ?? null)
  const whole = useEntry(id).data
  if (!found.length) return <p className="quiet">{t('terms.noTerms')}</p>
  const seen = found.filter(
    (one, index) => found.findIndex((other) => other.entry_id === one.entry_id) === index,
  )
  return (
    <div className="term-entry">
      <Others
        found={seen}
        chosen={id}
        onChoose={(next) => setChosen({ id: next, turn: asked.turn, segment: open?.id })}
      />
      {whole && <WholeEntry key={whole.id} entry={whole} {...{ project, found, onOnly }} />}
    </div>
  )
}

interface OthersProps {
  found: FoundTerm[]
  chosen: number | null
  onChoose: (entry: number) => void
}

function Others({ found, chosen, onChoose }: OthersProps) {
  return (
    <p className="small presses">
      {found.map((one) => (
        <button
          key={one.entry_id}
          type="button"
          className={one.entry_id === chosen ? 'chosen-term' : 'plain-link'}
          aria-pressed={one.entry_id === chosen}
          onClick={() => onChoose(one.entry_id)}
        >
          {one.term}
        </button>
      ))}
    </p>
  )
}

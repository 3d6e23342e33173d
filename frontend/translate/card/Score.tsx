// The score of a proposal, which on request says how it came about.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { Proposal } from '../../shared/types'

export function Score({ proposal }: { proposal: Proposal }) {
  const { t } = useTranslation()
  if (proposal.score !== null) return <Scored proposal={proposal} score={proposal.score} />
  return (
    <span className="score">
      <span className="kind">{t(`translate.kinds.${proposal.kind}`)}</span>
    </span>
  )
}

function Scored({ proposal, score }: { proposal: Proposal; score: number }) {
  const { t } = useTranslation()
  const [shownNow, setShown] = useState(false)
  const raw = proposal.raw ?? score + proposal.penalties.reduce((sum, one) => sum + one.points, 0)
  const why = proposal.penalties.length
    ? t('translate.why', {
        raw,
        list: proposal.penalties
          .map((one) => `${one.points} ${t(`translate.penalty.${one.reason}`)}`)
          .join(', '),
      })
    : t('translate.whyPlain', { raw })
  return (
    <span className="score">
      <button
        type="button"
        tabIndex={-1}
        title={why}
        aria-expanded={shownNow}
        aria-label={t('translate.whyLabel', { score })}
        onClick={(event) => {
          event.stopPropagation()
          setShown(!shownNow)
        }}
      >
        <b className="tab">{score}</b>
      </button>
      <span className="kind">{t(`translate.kinds.${proposal.kind}`)}</span>
      <span className="gauge" aria-hidden>
        <i style={{ width: `${score}%` }} />
      </span>
      {shownNow && (
        <span className="why" role="status">
          {why}
        </span>
      )}
    </span>
  )
}

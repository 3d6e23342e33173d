// What is offered for the open segment: the source itself as number 0, then a row for each proposal, best
// first.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { markDifferences, plain } from '../shared/content'
import { fullDate } from '../shared/i18n'
import { KEYS, proposalKey, shown } from '../shared/keys'
import { direction } from '../shared/languages'
import type { Project, Proposal, Segment } from '../shared/types'
import { Written } from './Written'

interface Props {
  proposals: Proposal[]
  segment: Segment
  project: Project
  chosen: number
  searching: boolean
  onTake: (number: number) => void
}

export function Proposals({ proposals, segment, project, chosen, searching, onTake }: Props) {
  const { t } = useTranslation()
  const now = proposals[chosen]
  return (
    <>
      <ol className="proposals" start={0} aria-label={t('translate.proposals')}>
        {proposals.map((proposal, index) => (
          <li
            key={proposal.id}
            className={index === chosen ? 'chosen' : ''}
            aria-current={index === chosen}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => onTake(index + 1)}
          >
            <Number number={index + 1} keys={proposalKey(index + 1)} />
            <Score proposal={proposal} />
            <Offer proposal={proposal} segment={segment} project={project} />
          </li>
        ))}
        <li className="of-source" onMouseDown={(event) => event.preventDefault()} onClick={() => onTake(0)}>
          <Number number={0} keys={KEYS.takeSource} />
          <span className="score">
            <span className="kind">{t('translate.kinds.source')}</span>
          </span>
          <span className="quiet small">
            {t(
              searching
                ? 'translate.searching'
                : proposals.length
                  ? 'translate.asItStands'
                  : 'translate.noProposals',
            )}
          </span>
        </li>
      </ol>
      <span className="hidden-text" role="status">
        {now &&
          t('translate.chosenNow', {
            number: chosen + 1,
            count: proposals.length,
            score: now.score,
            text: plain(now.target, segment.codes),
          })}
      </span>
    </>
  )
}

function Number({ number, keys }: { number: number; keys: string }) {
  const { t } = useTranslation()
  return (
    <span className="key">
      <button
        type="button"
        tabIndex={-1}
        aria-label={t('translate.take', { number })}
        aria-keyshortcuts={keys}
        title={shown(keys)}
      >
        <kbd>{number}</kbd>
      </button>
    </span>
  )
}

// The score, which on request says how it came about.
function Score({ proposal }: { proposal: Proposal }) {
  const { t } = useTranslation()
  const [shownNow, setShown] = useState(false)
  const raw = proposal.raw ?? proposal.score + proposal.penalties.reduce((sum, one) => sum + one.points, 0)
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
        aria-label={t('translate.whyLabel', { score: proposal.score })}
        onClick={(event) => {
          event.stopPropagation()
          setShown(!shownNow)
        }}
      >
        <b className="tab">{proposal.score}</b>
      </button>
      <span className="kind">{t(`translate.kinds.${proposal.kind}`)}</span>
      <span className="gauge" aria-hidden>
        <i style={{ width: `${proposal.score}%` }} />
      </span>
      {shownNow && (
        <span className="why" role="status">
          {why}
        </span>
      )}
    </span>
  )
}

function Offer({ proposal, segment, project }: { proposal: Proposal; segment: Segment; project: Project }) {
  const { t } = useTranslation()
  const marked = proposal.differences.length
    ? markDifferences(plain(segment.source, segment.codes), proposal.differences)
    : []
  const about = !proposal.memory
    ? [t(`translate.offered.${proposal.kind}`)]
    : [
        t('translate.memoryLine'),
        proposal.memory,
        [proposal.author, proposal.changed_at && fullDate(proposal.changed_at)].filter(Boolean).join(', '),
        proposal.client,
        proposal.project,
        proposal.subject,
      ].filter(Boolean)
  return (
    <span>
      <span className="text" lang={project.target_lang ?? undefined} dir={direction(project.target_lang)}>
        <Written value={proposal.target} codes={segment.codes} changes={proposal.changes} />
      </span>
      {marked.some((one) => one.mark !== 'same') && (
        <span className="compare" style={{ display: 'block' }}>
          {marked.map((one, index) => {
            // Words that stand side by side only through a difference are kept apart.
            const gap = index > 0 && one.mark !== 'same' && marked[index - 1].mark !== 'same' ? ' ' : ''
            return one.mark === 'gone' ? (
              <span key={index}>
                {gap}
                <del>{one.text}</del>
              </span>
            ) : one.mark === 'new' ? (
              <span key={index}>
                {gap}
                <ins>{one.text}</ins>
              </span>
            ) : (
              one.text
            )
          })}
        </span>
      )}
      {(proposal.changes ?? []).length > 0 && (
        <span className="adapted" style={{ display: 'block' }}>
          {t('translate.adaptedFrom', {
            list: proposal.changes
              ?.map((change) =>
                t('translate.adaptedOne', {
                  was: change.was,
                  now: Array.from(plain(proposal.target, segment.codes))
                    .slice(change.from, change.to)
                    .join(''),
                }),
              )
              .join(', '),
          })}
        </span>
      )}
      <span className="about-unit" style={{ display: 'block' }}>
        {about.join(' · ')}
      </span>
    </span>
  )
}

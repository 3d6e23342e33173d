// What is offered for the open segment: the source itself as number 0, then a row for each proposal, best
// first.
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import { KEYS, proposalKey, shown } from '../../shared/keys'
import type { Project, Proposal, Segment } from '../../shared/types'
import type { RemoteSource } from '../remoteProposals'
import { RemoteStatus } from '../RemoteStatus'
import { Offer } from './Offer'
import { Score } from './Score'
import { markedWords } from './useTaking'

interface Props {
  proposals: Proposal[]
  segment: Segment
  project: Project
  chosen: number
  searching: boolean
  // Why the machine gave nothing.
  trouble: string | null
  elsewhere: RemoteSource[]
  onTake: (number: number) => void
}

export function Proposals(props: Props) {
  const { proposals, segment, project, chosen, searching, trouble, elsewhere, onTake } = props
  const { t } = useTranslation()
  const now = proposals[chosen]
  const ofSource = proposals.length ? 'translate.asItStands' : 'translate.noProposals'
  return (
    <>
      <ol className="proposals" start={0} aria-label={t('translate.proposals')}>
        {proposals.map((proposal, index) => (
          <li
            key={proposal.id}
            className={index === chosen ? 'chosen' : ''}
            aria-current={index === chosen}
            onMouseDown={(event) => inWords(event.target) || event.preventDefault()}
            onClick={() => markedWords() || onTake(index + 1)}
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
            {t(searching ? 'translate.searching' : ofSource)}
            {trouble && ` · ${trouble}`}
          </span>
        </li>
      </ol>
      <RemoteStatus sources={elsewhere} />
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

// Words of a proposal can be marked with the mouse; everywhere else the caret stays where it is.
const inWords = (target: EventTarget) => !!(target as Element).closest('.text')

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

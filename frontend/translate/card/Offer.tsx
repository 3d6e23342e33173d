// The text a proposal would give, how its source differs from today's, what was adapted, and where it is
// from.
import type { TFunction } from 'i18next'
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import { markDifferences } from '../../shared/differences'
import { Differing } from '../../shared/parts/Differing'
import { fullDate } from '../../shared/i18n'
import { direction } from '../../shared/languages'
import type { Project, Proposal, Segment } from '../../shared/types'
import { Written } from '../../shared/Written'

interface Props {
  proposal: Proposal
  segment: Segment
  project: Project
}

export function Offer({ proposal, segment, project }: Props) {
  return (
    <span>
      <span className="text" lang={project.target_lang ?? undefined} dir={direction(project.target_lang)}>
        <Written value={proposal.target} codes={segment.codes} changes={proposal.changes} />
      </span>
      <Compared proposal={proposal} segment={segment} />
      <Adapted proposal={proposal} segment={segment} />
      <About proposal={proposal} />
    </span>
  )
}

function Compared({ proposal, segment }: Omit<Props, 'project'>) {
  if (proposal.sentence) return null
  return <Differences {...{ proposal, segment }} />
}

function Differences({ proposal, segment }: Omit<Props, 'project'>) {
  const text = plain(segment.source, segment.codes)
  const { differences } = proposal
  if (markDifferences(text, differences).every((one) => one.mark === 'same')) return null
  return <Differing text={text} differences={differences} />
}

function Adapted({ proposal, segment }: Omit<Props, 'project'>) {
  const { t } = useTranslation()
  const changes = proposal.changes ?? []
  if (!changes.length) return null
  const letters = Array.from(plain(proposal.target, segment.codes))
  const list = changes.map(({ was, from, to }) =>
    t('translate.adaptedOne', { was, now: letters.slice(from, to).join('') }),
  )
  return <span className="adapted">{t('translate.adaptedFrom', { list: list.join(', ') })}</span>
}

const partsOf = ({ parts = [] }: Proposal, t: TFunction) =>
  parts.map((part) => t(`translate.parts.${part}`)).join(` ${t('translate.and')} `)

function About({ proposal }: { proposal: Proposal }) {
  const { t } = useTranslation()
  const { memory, author, changed_at, client, project, subject, kind, sentence } = proposal
  const lost = proposal.lost?.length ? t('translate.codesPlaced', { codes: proposal.lost.join(' ') }) : null
  const by = [author, changed_at && fullDate(changed_at)].filter(Boolean).join(', ')
  const whole = sentence && t('timed.wholeSentence', { numbers: sentence.join(', ') })
  const about = memory
    ? [whole, t('translate.memoryLine'), memory, by, client, project, subject]
    : [t(`translate.offered.${kind}`, { ...proposal, parts: partsOf(proposal, t) }), lost]
  return <span className="about-unit">{about.filter(Boolean).join(' · ')}</span>
}

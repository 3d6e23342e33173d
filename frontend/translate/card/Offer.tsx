// The text a proposal would give, how its source differs from today's, what was adapted, and where it is
// from.
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import { markDifferences, type Marked } from '../../shared/differences'
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

const MARKS = { same: 'span', gone: 'del', new: 'ins' } as const

function Compared({ proposal, segment }: Omit<Props, 'project'>) {
  if (!proposal.differences.length) return null
  const marked = markDifferences(plain(segment.source, segment.codes), proposal.differences)
  if (marked.every((one) => one.mark === 'same')) return null
  return (
    <span className="compare">
      {marked.map((one, index) => (
        <Stretch key={index} now={one} before={marked[index - 1]} />
      ))}
    </span>
  )
}

// Words that stand side by side only through a difference are kept apart.
function Stretch({ now, before }: { now: Marked; before?: Marked }) {
  const Mark = MARKS[now.mark]
  const onlyApartByDifference = before && before.mark !== 'same' && now.mark !== 'same'
  return (
    <>
      {onlyApartByDifference && ' '}
      <Mark>{now.text}</Mark>
    </>
  )
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

function About({ proposal }: { proposal: Proposal }) {
  const { t } = useTranslation()
  const { memory, author, changed_at, client, project, subject, kind } = proposal
  const by = [author, changed_at && fullDate(changed_at)].filter(Boolean).join(', ')
  const about = memory
    ? [t('translate.memoryLine'), memory, by, client, project, subject]
    : [t(`translate.offered.${kind}`)]
  return <span className="about-unit">{about.filter(Boolean).join(' · ')}</span>
}

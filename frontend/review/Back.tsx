// What came back: changes in text order, taken or left one by one or all that are shown; what was strange
// about the sheet; how much was changed.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Failure, Waiting } from '../shared/Notices'
import type { ChangeKind, Project, ReviewRound } from '../shared/types'
import { AmountOf } from './AmountOf'
import { BackHead } from './BackHead'
import { ChangeItem } from './ChangeItem'
import { StrangeThings } from './StrangeThings'
import { useDeciding } from './useDeciding'
import { useDecidingByKey } from './useDecidingByKey'
import { useRound, type RoundPage } from './queries'

interface Props {
  project: Project
  round: ReviewRound
  // Back to the text of a pass inside.
  onText?: () => void
}

export function Back({ project, round, onText }: Props) {
  const { data, error, refetch } = useRound(round.id)
  if (error) return <Failure error={error} again={() => void refetch()} />
  if (!data) return <Waiting />
  return <Changes {...{ project, onText }} page={data} />
}

interface ChangesProps {
  project: Project
  page: RoundPage
  onText?: () => void
}

function Changes({ project, page, onText }: ChangesProps) {
  const { t } = useTranslation()
  const { round, changes, amount } = page
  const [kind, setKind] = useState<ChangeKind | null>(null)
  const shown = changes.filter((change) => !kind || change.kind === kind)
  const left = shown.filter((change) => change.decision === 'open' && !change.refused && !change.conflict)
  const deciding = useDeciding(project.id, round.id)
  const { list, onKeyDown } = useDecidingByKey(shown, deciding)
  return (
    <>
      <BackHead {...{ page, deciding, onText }} left={left} />
      {round.strange && <StrangeThings strange={round.strange} />}
      <AmountOf {...{ amount, kind }} onKind={setKind} />
      {shown.length === 0 && <p className="quiet">{t('review.nothing')}</p>}
      <ol ref={list} className="changes">
        {shown.map((change, index) => (
          <ChangeItem key={change.id} {...{ change, project, deciding, onKeyDown }} first={index === 0} />
        ))}
      </ol>
    </>
  )
}

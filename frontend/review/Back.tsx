// What came back: changes in text order, taken or left one by one or all that are shown; what was strange about the
// sheet; how much was changed.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Failure, Waiting } from '../shared/Notices'
import type { ChangeKind, Project, ReviewRound } from '../shared/types'
import { AmountOf } from './AmountOf'
import { ChangeItem } from './ChangeItem'
import { StrangeThings } from './StrangeThings'
import { useDeciding } from './useDeciding'
import { useDecidingByKey } from './useDecidingByKey'
import { reportAddress, useRound, type RoundPage, type Strange } from './queries'

interface Props {
  project: Project
  round: ReviewRound
  strange: Strange | null
}

export function Back({ project, round, strange }: Props) {
  const { data, error, refetch } = useRound(round.id)
  if (error) return <Failure error={error} again={() => void refetch()} />
  if (!data) return <Waiting />
  return <Changes {...{ project, strange }} page={data} />
}

interface ChangesProps {
  project: Project
  page: RoundPage
  strange: Strange | null
}

function Changes({ project, page, strange }: ChangesProps) {
  const { t } = useTranslation()
  const { round, changes, amount } = page
  const [kind, setKind] = useState<ChangeKind | null>(null)
  const shown = changes.filter((change) => !kind || change.kind === kind)
  const left = shown.filter((change) => change.decision === 'open' && !change.refused)
  const deciding = useDeciding(project.id, round.id)
  const { list, onKeyDown } = useDecidingByKey(shown, deciding)
  return (
    <>
      <header>
        <div>
          <h1>{t('review.backFrom', { reviser: round.reviser })}</h1>
          <p className="small quiet" role="status">
            {t('review.counts', {
              count: changes.length,
              taken: round.counts.taken,
              open: round.counts.open,
              left: round.counts.left,
            })}
          </p>
        </div>
        <p className="outs">
          {left.length > 0 && (
            <button type="button" className="link" onClick={() => deciding.decide(left, 'taken')}>
              {t('review.takeAll', { count: left.length })}
            </button>
          )}
          <a className="quiet-link" href={reportAddress(round.id)} download>
            {t('review.report')}
          </a>
          {round.counts.taken > 0 && (
            <button type="button" className="quiet-link" onClick={deciding.reopen}>
              {t('review.takeBack')}
            </button>
          )}
          {round.state === 'back' && (
            <button type="button" className="quiet-link" onClick={deciding.close}>
              {t('review.close')}
            </button>
          )}
        </p>
      </header>
      {strange && <StrangeThings strange={strange} />}
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

// Above a pass: who reads, how far, which passages are shown, and what they are compared with.
import { Select } from 'antd'
import { useTranslation } from 'react-i18next'
import { fullDate, number } from '../../shared/i18n'
import { useActing } from './useActing'
import type { EarlierState, PassPage } from './queries'
import type { Narrowed, Reading } from './usePass'

interface Props {
  page: PassPage
  reading: Reading
  onAgainst: (key: string) => void
  onChanges?: () => void
}

export function PassHead({ page, reading, onAgainst, onChanges }: Props) {
  const { t } = useTranslation()
  const { round, project, passages, remarks } = page
  const read = passages.filter((one) => one.read)
  const words = passages.reduce((sum, one) => sum + one.words, 0)
  const left = words - read.reduce((sum, one) => sum + one.words, 0)
  return (
    <>
      <header>
        <div>
          <h1>
            {project.own && round.guest
              ? t('review.pass.readBy', { reviser: round.reviser })
              : t('review.pass.title')}
          </h1>
          <p className="small quiet" role="status">
            {t('review.pass.progress', {
              read: number(read.length),
              count: passages.length,
              left: number(left),
              remarks: t('review.remarks', { count: remarks.length }),
            })}
          </p>
        </div>
        {project.own && <Acts {...{ page, onChanges }} />}
      </header>
      <Choices {...{ page, reading, onAgainst }} />
    </>
  )
}

function Acts({ page, onChanges }: Pick<Props, 'page' | 'onChanges'>) {
  const { t } = useTranslation()
  const { round, project } = page
  const { close, resume, withdraw, invite } = useActing(project.id, round.id)
  const changes = round.counts.open + round.counts.taken + round.counts.left
  return (
    <p className="outs">
      {changes > 0 && (
        <button type="button" className="link" onClick={onChanges}>
          {t(round.counts.open ? 'review.pass.toDecide' : 'review.pass.changes', {
            count: round.counts.open || changes,
          })}
        </button>
      )}
      {round.guest && round.state !== 'closed' && (
        <>
          <Select
            size="small"
            aria-label={t('review.pass.may')}
            value={round.may}
            options={(['read', 'remark', 'change'] as const).map((value) => ({
              value,
              label: t(`review.rights.${value}`),
            }))}
            onChange={invite}
          />
          <button type="button" className="quiet-link" onClick={withdraw}>
            {t('review.pass.withdraw')}
          </button>
        </>
      )}
      <button type="button" className="quiet-link" onClick={round.state === 'closed' ? resume : close}>
        {t(round.state === 'closed' ? 'review.pass.resume' : 'review.close')}
      </button>
    </p>
  )
}

const NARROWED: Narrowed[] = ['all', 'unread', 'remarked', 'changed']

function Choices({ page, reading, onAgainst }: Omit<Props, 'onChanges'>) {
  const { t } = useTranslation()
  const { narrowed, setNarrowed } = reading
  return (
    <div className="choices small">
      <div role="group" aria-label={t('review.pass.shown')}>
        {NARROWED.map((one) => (
          <button key={one} type="button" aria-pressed={narrowed === one} onClick={() => setNarrowed(one)}>
            {t(`review.pass.narrowed.${one}`)}
          </button>
        ))}
      </div>
      <label>
        <span className="quiet">{t('review.pass.against')}</span>
        <Select
          size="small"
          value={page.against}
          popupMatchSelectWidth={false}
          options={page.states.map((state) => ({ value: state.key, label: <StateName state={state} /> }))}
          onChange={onAgainst}
        />
      </label>
    </div>
  )
}

function StateName({ state }: { state: EarlierState }) {
  const { t } = useTranslation()
  const { kind, number: count, at, by } = state
  return <>{t(`review.pass.states.${kind}`, { number: count, date: at && fullDate(at), by: by ?? '' })}</>
}

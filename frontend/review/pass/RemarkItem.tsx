// A remark on the open passage: its kind and severity and what it says, changed in place; answered,
// settled, taken away with a way back.
import { Select } from 'antd'
import { useTranslation } from 'react-i18next'
import { fullDate, time } from '../../shared/i18n'
import { KindOf } from '../../shared/parts/KindOf'
import { LongInPlace } from '../../shared/parts/LongInPlace'
import { useSettings } from '../../shared/settings'
import type { Note, Severity } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { useOffer } from '../../shared/useOffer'
import { changeRemark, removeRemark, type PassPage } from './queries'
import { TypeSelect } from './RemarkForm'
import { useRefreshPass } from './useRefreshPass'

export function RemarkItem({ remark, page }: { remark: Note; page: PassPage }) {
  const { t } = useTranslation()
  const { user } = useSettings()
  const { change, remove } = useChanging(remark, page.round.id)
  const settled = remark.settled_at !== null
  const mayChange = page.right !== 'read' && (page.project.own || remark.author === user.name)
  return (
    <li className={`remark${settled ? ' settled' : ''}`}>
      <p className="small quiet">
        {mayChange && remark.severity ? <Weight {...{ remark, page, change }} /> : <KindOf remark={remark} />}
        {[remark.author, `${fullDate(remark.created_at)}, ${time(remark.created_at)}`].join(' · ')}
        {settled && ` · ${t('notes.settled')}`}
      </p>
      {remark.spot && <q className="reading">{remark.spot.text}</q>}
      {mayChange ? (
        <LongInPlace
          label={t('review.pass.says')}
          blank={t('review.pass.nothingSaid')}
          value={remark.text}
          onChange={(text) => change({ text })}
        />
      ) : (
        <p>{remark.text}</p>
      )}
      {page.right !== 'read' && (
        <LongInPlace
          label={t('notes.answer')}
          blank={t('review.pass.answer')}
          value={remark.answer}
          onChange={(answer) => change({ answer })}
        />
      )}
      {remark.answered_by && <p className="small quiet">{remark.answered_by}</p>}
      {mayChange && (
        <p className="acts">
          <button type="button" className="quiet-link" onClick={() => change({ settled: !settled })}>
            {t(settled ? 'notes.reopen' : 'notes.settle')}
          </button>
          <button type="button" className="quiet-link" onClick={remove}>
            {t('notes.remove')}
          </button>
        </p>
      )}
    </li>
  )
}

interface WeightProps {
  remark: Note
  page: PassPage
  change: (fields: object) => void
}

function Weight({ remark, page, change }: WeightProps) {
  const { t } = useTranslation()
  const severities = Object.keys(page.error_types.severities) as Severity[]
  return (
    <>
      <TypeSelect
        types={page.error_types}
        value={remark.error_type!}
        onChange={(error_type) => change({ error_type })}
      />{' '}
      <Select
        size="small"
        aria-label={t('review.pass.severity')}
        value={remark.severity}
        options={severities.map((value) => ({ value, label: t(`severities.${value}`) }))}
        onChange={(severity) => change({ severity })}
      />{' '}
    </>
  )
}

function useChanging(remark: Note, round: number) {
  const { t } = useTranslation()
  const { act } = useAct()
  const offer = useOffer('remark')
  const refresh = useRefreshPass(round)
  const change = (fields: object) =>
    void act(async () => {
      await changeRemark(remark.id, fields)
      await refresh()
    })
  const remove = () =>
    void act(async () => {
      await removeRemark(remark.id)
      await refresh()
      offer(t('review.pass.removed'), t('app.undo'), () => change({ deleted: false }))
    })
  return { change, remove }
}

// A memory of the project: what it holds, when it learns, what is taken off its matches, where it stands.
import { InputNumber } from 'antd'
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import type { AttachedMemory, Learns } from '../shared/types'
import { otherPair, type Pair } from './otherPair'

interface Props {
  row: AttachedMemory
  // The languages it stands beside.
  beside: Pair
  rank: number
  first: boolean
  last: boolean
  onEdit: (fields: Partial<AttachedMemory>) => void
  onMove: (by: number) => void
  onDetach: () => void
}

const LEARNS: Learns[] = ['confirm', 'deliver', 'never']
const READ_ONLY = 'read'

export function AttachedMemoryRow({ row, beside, rank, onEdit, ...rest }: Props) {
  const { t } = useTranslation()
  const pair = otherPair(row, beside)
  const how = row.read_only ? t('brief.readOnly') : t(`brief.learns.${row.learns}`)
  const off = row.penalty ? t('brief.off', { penalty: row.penalty }) : ''
  return (
    <li>
      <span className="rank tab">{rank}</span>
      <span className="name">
        {row.name}{' '}
        <span className="small quiet">
          {t('brief.units', { count: row.units, units: number(row.units) })}
          {pair && ` · ${pair}`}
          {row.server && ` · ${t('remote.on', { server: row.server })}`}
          {row.region_penalty > 0 && `, ${t('brief.off', { penalty: row.region_penalty })}`}
        </span>
      </span>
      <span className="small">
        <MenuInPlace
          title={row.name}
          label={[how, off].filter(Boolean).join(' · ')}
          value={row.read_only ? READ_ONLY : row.learns}
          options={[
            ...LEARNS.map((value) => ({ value, label: t(`brief.learns.${value}`) })),
            { value: READ_ONLY, label: t('brief.readOnly') },
          ]}
          onChange={(value) =>
            onEdit(value === READ_ONLY ? { read_only: true } : { read_only: false, learns: value as Learns })
          }
          extra={<More row={row} onEdit={onEdit} {...rest} />}
        />
      </span>
    </li>
  )
}

function More({
  row,
  first,
  last,
  onEdit,
  onMove,
  onDetach,
}: Pick<Props, 'row' | 'first' | 'last' | 'onEdit' | 'onMove' | 'onDetach'>) {
  const { t } = useTranslation()
  return (
    <>
      <label className="small quiet">
        {t('brief.penalty')}
        <InputNumber
          size="small"
          min={0}
          max={50}
          defaultValue={row.penalty}
          onBlur={(event) => {
            const penalty = Number(event.target.value)
            if (penalty !== row.penalty) onEdit({ penalty })
          }}
        />
      </label>
      {!first && (
        <button type="button" onClick={() => onMove(-1)}>
          {t('brief.up')}
        </button>
      )}
      {!last && (
        <button type="button" onClick={() => onMove(1)}>
          {t('brief.down')}
        </button>
      )}
      <button type="button" onClick={onDetach}>
        {t('brief.detach')}
      </button>
    </>
  )
}

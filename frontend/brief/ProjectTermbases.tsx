// The termbases of a project, or those its client's projects get: order, where new terms go, which ones
// checks use.
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import { makeTermbase, useTermbases } from '../shared/termbases'
import type { AttachedTermbase, Termbase } from '../shared/types'
import type { Attempt } from './useChanges'

type Kept = Pick<AttachedTermbase, 'termbase_id' | 'adds' | 'checks' | 'read_only'>

interface Props {
  rows: AttachedTermbase[]
  change: (fields: { termbases: Kept[] }) => void
  attempt: Attempt
}

const attached = ({ id, name, entries }: Pick<Termbase, 'id' | 'name' | 'entries'>): AttachedTermbase => ({
  termbase_id: id,
  name,
  entries,
  adds: true,
  checks: true,
  read_only: false,
})

export function ProjectTermbases({ rows, change, attempt }: Props) {
  const { t } = useTranslation()
  const all = useTermbases()
  const save = (list: AttachedTermbase[]) =>
    change({
      termbases: list.map(({ termbase_id, adds, checks, read_only }) => ({
        termbase_id,
        adds,
        checks,
        read_only,
      })),
    })
  const free = (all.data ?? []).filter((one) => !rows.some((row) => row.termbase_id === one.id))
  return (
    <>
      <h2>{t('termbases.ofProject')}</h2>
      <ol className="stock">
        {rows.map((row, index) => (
          <Row
            key={row.termbase_id}
            row={row}
            rank={index + 1}
            onEdit={(fields) => save(rows.with(index, { ...row, ...fields }))}
            onFirst={() => save([row, ...rows.filter((one) => one !== row)])}
            onDetach={() => save(rows.filter((one) => one !== row))}
          />
        ))}
      </ol>
      {!rows.length && !free.length && <p className="small quiet">{t('termbases.none')}</p>}
      <p className="small add">
        <ChoiceInPlace
          label={t('termbases.add')}
          blank={t('termbases.add')}
          value={null}
          options={free.map((one) => ({ value: String(one.id), label: one.name }))}
          onChange={(value) => {
            const termbase = free.find((one) => String(one.id) === value)
            if (termbase) save([...rows, attached(termbase)])
          }}
          onAdd={(name) =>
            attempt(async () => {
              save([...rows, attached(await makeTermbase(name))])
              await all.refetch()
            })
          }
          addLabel={(name) => t('termbases.make', { name })}
        />
      </p>
    </>
  )
}

interface RowProps {
  row: AttachedTermbase
  rank: number
  onEdit: (fields: Partial<AttachedTermbase>) => void
  onFirst: () => void
  onDetach: () => void
}
const SWITCHES = [
  ['adds', 'toggleAdds'],
  ['checks', 'toggleChecks'],
  ['read_only', 'toggleReadOnly'],
] as const

function Row({ row, rank, onEdit, onFirst, onDetach }: RowProps) {
  const { t } = useTranslation()
  const how = row.read_only
    ? [t('termbases.how.readOnly')]
    : [row.adds && t('termbases.how.adds'), row.checks && t('termbases.how.checks')].filter(Boolean)
  return (
    <li>
      <span className="rank tab">{rank}</span>
      <span className="name">
        {row.name}{' '}
        <span className="small quiet">
          {t('termbases.entries', { count: row.entries, entries: number(row.entries) })}
        </span>
      </span>
      <span className="small">
        <MenuInPlace
          title={row.name}
          label={how.join(' · ') || t('termbases.how.looks')}
          value=""
          options={SWITCHES.map(([name, text]) => ({
            value: name,
            label: t(`termbases.${text}.${row[name] ? 'off' : 'on'}`),
          }))}
          onChange={(name) => onEdit({ [name]: !row[name as 'adds'] })}
          extra={
            <>
              {rank > 1 && (
                <button type="button" onClick={onFirst}>
                  {t('brief.up')}
                </button>
              )}
              <button type="button" onClick={onDetach}>
                {t('brief.detach')}
              </button>
            </>
          }
        />
      </span>
    </li>
  )
}

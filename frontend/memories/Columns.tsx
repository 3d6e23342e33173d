// Which columns of a table hold source and target, and its first rows to see it by.
import { Input, Select } from 'antd'
import { useTranslation } from 'react-i18next'
import type { ColumnChoice } from './BringIn'
import type { TableLook } from './queries'

const NAMES = ['source_column', 'target_column'] as const

interface Props {
  table: TableLook | null
  columns: ColumnChoice
  setColumns: (columns: ColumnChoice) => void
}

export function Columns({ table, columns, setColumns }: Props) {
  const { t } = useTranslation()
  return (
    <div className="choices columns">
      {NAMES.map((name) => (
        <label key={name}>
          <span>{t(`memories.${name}`)}</span>{' '}
          {table ? (
            <Select
              size="small"
              aria-label={t(`memories.${name}`)}
              value={columns[name]}
              options={[{ value: '', label: '–' }, ...table.columns]}
              onChange={(value) => setColumns({ ...columns, [name]: value })}
            />
          ) : (
            <Input
              size="small"
              className="column-number"
              value={columns[name]}
              onChange={(event) => setColumns({ ...columns, [name]: event.target.value })}
            />
          )}
        </label>
      ))}
    </div>
  )
}

export function TableRows({ table, columns }: { table: TableLook; columns: ColumnChoice }) {
  const { t } = useTranslation()
  const used = (value?: string) => (value && Object.values(columns).includes(value) ? 'used' : '')
  return (
    <div className="table-look">
      <table aria-label={t('memories.firstRows')}>
        <thead>
          <tr>
            {table.columns.map((one) => (
              <th key={one.value} className={used(one.value)} scope="col">
                {one.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row, index) => (
            <tr key={index}>
              {row.map((text, at) => (
                <td key={at} className={used(table.columns[at]?.value)}>
                  {text}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

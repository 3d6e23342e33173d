// What the columns of a table hold, guessed and to be changed, above its first rows.
import { useTranslation } from 'react-i18next'
import { languageName } from '../shared/languages'
import type { TermTable } from './queries'

const CONCEPT = ['id', 'subject', 'client', 'definition', 'note', 'picture', 'source', 'language', 'term']
const LOCAL = ['term', 'status', 'forbidden', 'gender', 'part_of_speech', 'example', 'term_note']
const USUAL = ['en', 'it', 'nl', 'de', 'fr', 'es', 'pt']

interface Props {
  table: TermTable
  roles: (string | null)[]
  languages: string[]
  onChange: (roles: (string | null)[]) => void
}

export function Roles({ table, roles, languages, onChange }: Props) {
  const { t } = useTranslation()
  const guessed = roles.map((role) => role?.split(':')[1]).filter((tag) => tag !== undefined)
  const tags = [...new Set([...guessed, ...languages, ...USUAL])]
  const nameOf = (role: string) => {
    const [field, tag] = role.split(':')
    if (!tag) return t(`termbases.roles.${field}`)
    return field === 'term' ? languageName(tag) : `${languageName(tag)}: ${t(`termbases.roles.${field}`)}`
  }
  const options = [...tags.flatMap((tag) => LOCAL.map((field) => `${field}:${tag}`)), ...CONCEPT]
  return (
    <div className="table-look">
      <table>
        <thead>
          <tr>
            {(table.columns ?? []).map((column, index) => (
              <th key={column.label} scope="col">
                {column.label}
                <select
                  aria-label={t('termbases.columnHolds', { column: column.label })}
                  value={roles[index] ?? ''}
                  onChange={(event) => onChange(roles.with(index, event.target.value || null))}
                >
                  <option value="">{t('termbases.roles.none')}</option>
                  {options.map((role) => (
                    <option key={role} value={role}>
                      {nameOf(role)}
                    </option>
                  ))}
                </select>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {(table.rows ?? []).map((row, at) => (
            <tr key={at}>
              {row.map((cell, index) => (
                <td key={index}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

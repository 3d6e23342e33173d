// What is read from a file of a format: its options, shown only when asked for.
import { useQuery } from '@tanstack/react-query'
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { commands } from '../shared/commands'
import { useOpened } from '../shared/focus'
import { Floating } from '../shared/parts/Floating'
import { keys } from '../shared/queryKeys'
import type { DocumentRow, FormatOption } from '../shared/types'
import { OptionsForm } from './OptionsForm'

export type Values = Record<string, string | boolean>
export interface Format {
  name: string
  extensions: string[]
  options: FormatOption[]
}
export const formatsQuery = {
  queryKey: keys.formats,
  queryFn: () => api.get<Format[]>('/formats'),
  staleTime: Infinity,
}

export function Options({ row, onChange }: { row: DocumentRow; onChange: (options: Values) => void }) {
  const { t } = useTranslation()
  const { open, setOpen, opener, inside } = useOpened()
  const formats = useQuery(formatsQuery)
  const options = formats.data?.find((format) => format.name === row.format)?.options ?? []
  const name = `${t('options.title')}: ${row.name}`
  const some = options.length > 0
  useEffect(() => {
    if (some) return commands.offerNamed([{ name, run: () => setOpen(true) }])
  }, [name, setOpen, some])
  if (!some) return null
  const own = options.filter(
    (option) => row.options[option.name] !== undefined && row.options[option.name] !== option.default,
  ).length
  return (
    <Floating
      label={t('options.of', { format: row.format })}
      placement="bottomLeft"
      {...{ open, setOpen, inside }}
      content={
        <OptionsForm
          row={row}
          options={options}
          onClose={() => setOpen(false)}
          onKeep={(values) => {
            setOpen(false)
            onChange(values)
          }}
        />
      }
    >
      <button
        ref={opener}
        type="button"
        className="in-place"
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-label={name}
      >
        {own ? t('options.changed', { count: own }) : t('options.title')}
      </button>
    </Floating>
  )
}

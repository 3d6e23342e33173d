// What is read from a file of a format: its options, shown only when asked for.
import { useQuery } from '@tanstack/react-query'
import { Button, Checkbox, Input, Popover, Select } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import type { DocumentRow, FormatOption } from '../shared/types'

type Values = Record<string, string | boolean>
export interface Format {
  name: string
  extensions: string[]
  options: FormatOption[]
}
export const formatsQuery = {
  queryKey: ['formats'],
  queryFn: () => api.get<Format[]>('/formats'),
  staleTime: Infinity,
}

export function Options({ row, onChange }: { row: DocumentRow; onChange: (options: Values) => void }) {
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  const formats = useQuery(formatsQuery)
  const options = formats.data?.find((format) => format.name === row.format)?.options ?? []
  if (!options.length) return null
  const own = options.filter(
    (option) => row.options[option.name] !== undefined && row.options[option.name] !== option.default,
  ).length
  return (
    <Popover
      trigger="click"
      placement="bottomLeft"
      arrow={false}
      open={open}
      onOpenChange={setOpen}
      destroyOnHidden
      content={
        <Form
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
        type="button"
        className="in-place"
        aria-haspopup="dialog"
        aria-label={`${t('options.title')}: ${row.name}`}
      >
        {own ? t('options.changed', { count: own }) : t('options.title')}
      </button>
    </Popover>
  )
}

function Form({
  row,
  options,
  onKeep,
  onClose,
}: {
  row: DocumentRow
  options: FormatOption[]
  onKeep: (values: Values) => void
  onClose: () => void
}) {
  const { t } = useTranslation()
  const [values, setValues] = useState<Values>(() =>
    Object.fromEntries(options.map((option) => [option.name, row.options[option.name] ?? option.default])),
  )
  const set = (name: string, value: string | boolean) => setValues((old) => ({ ...old, [name]: value }))
  const switches = options.filter((option) => option.kind === 'switch')
  return (
    <form
      className="options"
      role="dialog"
      aria-label={t('options.of', { format: row.format })}
      onSubmit={(event) => {
        event.preventDefault()
        onKeep(values)
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose()
      }}
    >
      {switches.length > 0 && (
        <fieldset>
          <legend>{t('options.take')}</legend>
          {switches.map((option) => (
            <Checkbox
              key={option.name}
              checked={values[option.name] === true}
              onChange={(event) => set(option.name, event.target.checked)}
            >
              {t(`options.names.${option.name}`)}
            </Checkbox>
          ))}
        </fieldset>
      )}
      {options
        .filter((option) => option.kind !== 'switch')
        .map((option) => (
          <label key={option.name}>
            <span>{t(`options.names.${option.name}`)}</span>
            {option.kind === 'choice' ? (
              <Select
                size="small"
                value={String(values[option.name])}
                options={(option.choices ?? []).map((choice) => ({
                  value: choice,
                  label: t(`options.choices.${choice || 'guess'}`),
                }))}
                onChange={(value) => set(option.name, value)}
                aria-label={t(`options.names.${option.name}`)}
              />
            ) : option.name === 'rules' ? (
              <Input.TextArea
                size="small"
                rows={4}
                value={String(values[option.name])}
                placeholder={t('options.hints.rules')}
                onChange={(event) => set(option.name, event.target.value)}
              />
            ) : (
              <Input
                size="small"
                value={String(values[option.name])}
                placeholder={t(`options.hints.${option.name}`, { defaultValue: '' })}
                onChange={(event) => set(option.name, event.target.value)}
              />
            )}
          </label>
        ))}
      <div className="acts">
        <Button size="small" type="primary" htmlType="submit">
          {t('options.read')}
        </Button>
        <button type="button" className="quiet" onClick={onClose}>
          {t('options.leave')}
        </button>
      </div>
    </form>
  )
}

// The options of a format as a form: switches first, then choices and texts.
import { Button, Checkbox, Input, Select } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { DocumentRow, FormatOption } from '../shared/types'
import type { Values } from './Options'

interface Props {
  row: DocumentRow
  options: FormatOption[]
  onKeep: (values: Values) => void
  onClose: () => void
}

export function OptionsForm({ row, options, onKeep, onClose }: Props) {
  const { t } = useTranslation()
  const [values, setValues] = useState<Values>(() =>
    Object.fromEntries(options.map((option) => [option.name, row.options[option.name] ?? option.default])),
  )
  const set = (name: string, value: string | boolean) => setValues((old) => ({ ...old, [name]: value }))
  const switches = options.filter((option) => option.kind === 'switch')
  const others = options.filter((option) => option.kind !== 'switch')
  return (
    <form
      className="options"
      onSubmit={(event) => {
        event.preventDefault()
        onKeep(values)
      }}
    >
      {switches.length > 0 && (
        <fieldset>
          <legend>{t('options.take')}</legend>
          {switches.map(({ name }) => (
            <Checkbox
              key={name}
              checked={values[name] === true}
              onChange={(event) => set(name, event.target.checked)}
            >
              {t(`options.names.${name}`)}
            </Checkbox>
          ))}
        </fieldset>
      )}
      {others.map((option) => (
        <label key={option.name}>
          <span>{t(`options.names.${option.name}`)}</span>
          <OptionField
            option={option}
            value={String(values[option.name])}
            onChange={(value) => set(option.name, value)}
          />
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

interface FieldProps {
  option: FormatOption
  value: string
  onChange: (value: string) => void
}

function OptionField({ option, value, onChange }: FieldProps) {
  const { t } = useTranslation()
  if (option.kind === 'choice')
    return (
      <Select
        size="small"
        value={value}
        options={(option.choices ?? []).map((choice) => ({
          value: choice,
          label: t(`options.choices.${choice || 'guess'}`),
        }))}
        onChange={onChange}
        aria-label={t(`options.names.${option.name}`)}
      />
    )
  if (option.name === 'rules')
    return (
      <Input.TextArea
        size="small"
        rows={4}
        value={value}
        placeholder={t('options.hints.rules')}
        onChange={(event) => onChange(event.target.value)}
      />
    )
  return (
    <Input
      size="small"
      value={value}
      placeholder={t(`options.hints.${option.name}`, { defaultValue: '' })}
      onChange={(event) => onChange(event.target.value)}
    />
  )
}

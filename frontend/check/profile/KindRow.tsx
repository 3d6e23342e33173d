// A check: what it looks for, how severe it is, and its settings where it has any.
import { Input, InputNumber, Select } from 'antd'
import { useTranslation } from 'react-i18next'
import type { Changed, CheckKind, ParameterValue, Severity } from './queries'

interface Props {
  kind: CheckKind
  changed: Changed
  onChange: (changed: Changed) => void
}
const SEVERITIES: Severity[] = ['must-fix', 'look', 'off']

export function KindRow({ kind, changed, onChange }: Props) {
  const { t } = useTranslation()
  const name = t(`check.about.${kind.code}`)
  const level = changed.level ?? kind.level
  return (
    <li className={level === 'off' ? 'off' : ''}>
      <span>
        {name}
        {Object.entries(kind.parameters).map(([parameter, usual]) => (
          <Parameter
            key={parameter}
            label={t(`check.parameters.${kind.code}.${parameter}`)}
            value={changed[parameter] ?? usual}
            onChange={(value) => onChange({ ...changed, [parameter]: value })}
          />
        ))}
      </span>
      <Select
        size="small"
        className={level !== kind.level ? 'other-than-usual' : ''}
        value={level}
        aria-label={t('check.profile.level', { name })}
        options={SEVERITIES.map((value) => ({
          value,
          label: value === 'off' ? t('check.profile.off') : t(`check.levels.${value}`),
        }))}
        onChange={(value) => onChange({ ...changed, level: value })}
      />
    </li>
  )
}

interface ParameterProps {
  label: string
  value: ParameterValue
  onChange: (value: ParameterValue) => void
}

function Parameter({ label, value, onChange }: ParameterProps) {
  return (
    <label className="parameter small quiet">
      {label}{' '}
      {typeof value === 'number' ? (
        <InputNumber
          size="small"
          min={0}
          value={value}
          onChange={(now) => {
            if (now !== null) onChange(now)
          }}
        />
      ) : (
        <Input size="small" value={value} onChange={(event) => onChange(event.target.value)} />
      )}
    </label>
  )
}

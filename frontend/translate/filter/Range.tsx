// From and to of a number.
import { InputNumber } from 'antd'
import { useTranslation } from 'react-i18next'

interface Props {
  name: 'score' | 'length'
  from: number | null
  to: number | null
  most: number
  onChange: (from: number | null, to: number | null) => void
}

export function Range({ name, from, to, most, onChange }: Props) {
  const { t } = useTranslation()
  return (
    <fieldset data-part={name}>
      <legend>{t(`filter.${name}`)}</legend>
      <InputNumber
        aria-label={t(`filter.${name}From`)}
        placeholder="0"
        min={0}
        max={most}
        value={from}
        onChange={(value) => onChange(value, to)}
      />{' '}
      –{' '}
      <InputNumber
        aria-label={t(`filter.${name}To`)}
        placeholder={name === 'score' ? '100' : '…'}
        min={0}
        max={most}
        value={to}
        onChange={(value) => onChange(from, value)}
      />
    </fieldset>
  )
}

// Fields of a rate card that are looked at before they are kept.
import { Form, Input, Select } from 'antd'
import { useTranslation } from 'react-i18next'
import { amountOf, shareOf } from '../count/useRates'
import { languageOptions } from '../shared/languages'
import { isAmount, isWeight } from '../shared/quote'
import type { Rates } from '../shared/types'

export function weightChecked(value: string, wrong: string): Promise<void> {
  const share = shareOf(value ?? '')
  return share !== undefined && isWeight(share) ? Promise.resolve() : Promise.reject(new Error(wrong))
}

export function Amount({ name, label, required }: { name: keyof Rates; label: string; required?: boolean }) {
  const { t } = useTranslation()
  const check = (value?: string) => {
    const plain = name === 'rush' ? (shareOf(value || '0') ?? 'x') : amountOf(value ?? '')
    const good = plain === '' ? !required : isAmount(plain)
    return good
      ? Promise.resolve()
      : Promise.reject(new Error(t(`quote.wrong.${name}`, { value: value ?? '' })))
  }
  return (
    <Form.Item name={name} label={label} rules={[{ validator: (_, value?: string) => check(value) }]}>
      <Input />
    </Form.Item>
  )
}

export function Language({ name, label }: { name: string; label: string }) {
  const { t } = useTranslation()
  return (
    <Form.Item name={name} label={label} rules={[{ required: true, message: t('brief.chooseLanguage') }]}>
      <Select
        showSearch={{
          filterOption: (input, option) => String(option?.search ?? '').includes(input.toLowerCase()),
        }}
        options={languageOptions}
      />
    </Form.Item>
  )
}

// Working hours, reminders, and the details for quotes.
import { Button, Checkbox, Form, Input, Select } from 'antd'
import { useTranslation } from 'react-i18next'
import { locale } from '../shared/i18n'
import { useSettings } from '../shared/settings'

// A Sunday, to name the days by.
const SUNDAY = Date.UTC(2026, 10, 29)
const DAY = 86_400_000
const DAYS = [1, 2, 3, 4, 5, 6, 0].map((day) => ({
  value: day,
  label: new Date(SUNDAY + day * DAY).toLocaleDateString(locale, { weekday: 'short', timeZone: 'UTC' }),
}))

const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone
const ZONES = [...new Set(['UTC', HERE, ...Intl.supportedValuesOf('timeZone')])].map((value) => ({
  value,
  label: value.replaceAll('_', ' '),
}))

type Keep = (path: string, values: unknown, said: string) => Promise<boolean>

export function Work({ keep }: { keep: Keep }) {
  const { t } = useTranslation()
  const { user } = useSettings()
  const send = (values: object) => void keep('/settings', values, t('account.kept'))
  return (
    <>
      <h2>{t('account.work')}</h2>
      <Form layout="vertical" initialValues={user} onFinish={send}>
        <Form.Item name={['working', 'days']} label={t('account.days')}>
          <Checkbox.Group className="work-days" options={DAYS} />
        </Form.Item>
        <div className="side-by-side">
          <Form.Item name={['working', 'from']} label={t('account.from')}>
            <Input placeholder="09:00" />
          </Form.Item>
          <Form.Item name={['working', 'to']} label={t('account.to')}>
            <Input placeholder="17:00" />
          </Form.Item>
          <Form.Item name="remind_at" label={t('account.remind')}>
            <Input placeholder="09:00" />
          </Form.Item>
        </div>
        <Form.Item name="time_zone" label={t('account.zone')} extra={t('account.zoneHint', { zone: HERE })}>
          <Select showSearch options={ZONES} />
        </Form.Item>
        <Form.Item name="address" label={t('account.address')} extra={t('account.addressHint')}>
          <Input.TextArea autoSize={{ minRows: 2, maxRows: 8 }} />
        </Form.Item>
        <Form.Item
          name="quote_pattern"
          label={t('account.quotePattern')}
          extra={t('account.quotePatternHint')}
        >
          <Input />
        </Form.Item>
        <Button htmlType="submit">{t('account.keepWork')}</Button>
      </Form>
    </>
  )
}

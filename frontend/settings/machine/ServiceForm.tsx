// A service as a form: where it is, its key, and by which template it is asked and read.
import { Button, Checkbox, Form, Input, InputNumber, Radio } from 'antd'
import { useTranslation } from 'react-i18next'
import type { MachineService } from '../../shared/types'
import type { ServiceFields, Services, Template } from './queries'

interface Props {
  service?: MachineService
  templates: Services['templates']
  onKeep: (fields: ServiceFields) => void
  onLeave: () => void
}
type Values = Omit<ServiceFields, 'headers' | 'languages'> & { headers: string; languages: string }
const SHAPES = ['lists', 'chat'] as const
const METHODS = ['post', 'put'].map((value) => ({ value, label: value.toUpperCase() }))
const MOST = 200

// A header on each line, its name before a colon.
const written = (headers: Record<string, string>) =>
  Object.entries(headers)
    .map(([name, value]) => `${name}: ${value}`)
    .join('\n')
const read = (text: string) =>
  Object.fromEntries(
    text
      .split('\n')
      .filter((line) => line.trim())
      .map((line) => [line.slice(0, line.indexOf(':')).trim(), line.slice(line.indexOf(':') + 1).trim()]),
  )
// The first line that is no header.
const wrongHeader = (text: string) => text.split('\n').find((line) => line.trim() && !line.includes(':'))
const listed = (text: string) =>
  text
    .split(',')
    .map((pair) => pair.trim())
    .filter(Boolean)
const filled = ({ headers, ...rest }: Template) => ({ ...rest, headers: written(headers) })

export function ServiceForm({ service, templates, onKeep, onLeave }: Props) {
  const { t } = useTranslation()
  const [form] = Form.useForm<Values>()
  const first = {
    ...filled(service ?? templates.lists),
    name: '',
    address: '',
    instructions: '',
    key: '',
    languages: '',
    currency: 'EUR',
    http_method: 'post',
  }
  const start = service
    ? { ...first, ...service, languages: service.languages.join(', '), headers: first.headers }
    : first
  return (
    <Form
      form={form}
      layout="vertical"
      className="service-form"
      initialValues={start}
      onFinish={({ headers, languages, ...rest }) =>
        onKeep({ ...rest, headers: read(headers), languages: listed(languages) })
      }
    >
      <Form.Item label={t('machine.shape')}>
        <Radio.Group
          options={SHAPES.map((value) => ({ value, label: t(`machine.shapes.${value}`) }))}
          onChange={(event) =>
            form.setFieldsValue(filled(templates[event.target.value as (typeof SHAPES)[number]]))
          }
        />
      </Form.Item>
      <Form.Item name="name" label={t('machine.name')} required>
        <Input />
      </Form.Item>
      <Form.Item name="address" label={t('machine.address')} required>
        <Input placeholder="https://" inputMode="url" />
      </Form.Item>
      <Form.Item name="http_method" label={t('machine.method')}>
        <Radio.Group options={METHODS} />
      </Form.Item>
      <Form.Item
        name="key"
        label={t('machine.key')}
        extra={t(service?.has_key ? 'machine.keyKept' : 'machine.keyHint')}
      >
        <Input.Password autoComplete="off" />
      </Form.Item>
      <Form.Item name="instructions" label={t('machine.instructions')} extra={t('machine.instructionsHint')}>
        <Input.TextArea autoSize={{ minRows: 2 }} />
      </Form.Item>
      <Form.Item
        name="headers"
        label={t('machine.headers')}
        rules={[
          {
            validator: (_, text: string) => {
              const line = wrongHeader(text)
              return line ? Promise.reject(new Error(t('machine.headersWrong', { line }))) : Promise.resolve()
            },
          },
        ]}
      >
        <Input.TextArea autoSize className="code" />
      </Form.Item>
      <Form.Item name="request" label={t('machine.request')} extra={t('machine.requestHint')}>
        <Input.TextArea autoSize className="code" />
      </Form.Item>
      <Form.Item name="answer" label={t('machine.answer')}>
        <Input className="code" />
      </Form.Item>
      <Form.Item name="batch" label={t('machine.batch')}>
        <InputNumber min={1} max={MOST} />
      </Form.Item>
      <Form.Item name="languages" label={t('machine.languages')} extra={t('machine.languagesHint')}>
        <Input placeholder="en > it, en > nl" />
      </Form.Item>
      <Form.Item label={t('machine.price')}>
        <Form.Item name="price" noStyle>
          <InputNumber stringMode min="0" aria-label={t('machine.price')} />
        </Form.Item>{' '}
        <Form.Item name="currency" noStyle>
          <Input className="currency" maxLength={3} aria-label={t('machine.currency')} />
        </Form.Item>
      </Form.Item>
      <Form.Item name="markup" valuePropName="checked">
        <Checkbox>{t('machine.markup')}</Checkbox>
      </Form.Item>
      <div className="presses">
        <Button type="primary" htmlType="submit">
          {t('machine.keep')}
        </Button>
        <Button onClick={onLeave}>{t('machine.leave')}</Button>
      </div>
    </Form>
  )
}

// Find and replace in the units that are chosen, as one act that can be undone.
import { Checkbox, Form, Input, Modal, Radio } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'

export interface Replacement {
  find: string
  with: string
  side: 'source' | 'target'
  regex: boolean
  cased: boolean
  words: boolean
}
const FIRST: Replacement = { find: '', with: '', side: 'target', regex: false, cased: false, words: false }
const FLAGS = ['regex', 'cased', 'words'] as const

export function ReplaceInUnits({
  count,
  onReplace,
}: {
  count: number
  onReplace: (replacement: Replacement) => void
}) {
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  const [form] = Form.useForm<Replacement>()
  const find = Form.useWatch('find', form)
  const regex = Form.useWatch('regex', form)
  return (
    <>
      <button type="button" className="link" onClick={() => setOpen(true)}>
        {t('memories.replace')}
      </button>
      <Modal
        open={open}
        title={t('memories.replaceTitle', { units: number(count) })}
        okText={t('memories.replaceNow')}
        cancelText={t('memories.cancel')}
        okButtonProps={{ disabled: !find }}
        onCancel={() => setOpen(false)}
        onOk={() => {
          onReplace(form.getFieldsValue())
          setOpen(false)
        }}
        destroyOnHidden
      >
        <Form form={form} layout="vertical" initialValues={FIRST} preserve={false}>
          <Form.Item name="find" label={t('memories.find')}>
            <Input autoFocus />
          </Form.Item>
          <Form.Item
            name="with"
            label={t('memories.with')}
            extra={regex ? t('memories.regexHint') : undefined}
          >
            <Input />
          </Form.Item>
          <Form.Item name="side">
            <Radio.Group
              options={[
                { value: 'target', label: t('memories.inTarget') },
                { value: 'source', label: t('memories.inSource') },
              ]}
            />
          </Form.Item>
          {FLAGS.map((name) => (
            <Form.Item key={name} name={name} valuePropName="checked" noStyle>
              <Checkbox>{t(`memories.${name}`)}</Checkbox>
            </Form.Item>
          ))}
        </Form>
      </Modal>
    </>
  )
}

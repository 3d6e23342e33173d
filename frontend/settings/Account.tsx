// The account: name, email, pace, reference pattern, password, and sessions.
import { keys } from '../shared/queryKeys'
import { useQueryClient } from '@tanstack/react-query'
import { App, Button, Form, Input, InputNumber } from 'antd'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { Frame } from '../shared/Frame'
import { useSettings } from '../shared/settings'
import { LanguageChoice } from './LanguageChoice'
import { SecondFactor } from './SecondFactor'
import { SignedIn } from './SignedIn'
import { Work } from './Work'
import './settings.css'

// Sends what was filled in; says that it was kept, or why not.
function useKeep() {
  const cache = useQueryClient()
  const { message } = App.useApp()
  return async (path: string, values: unknown, said: string): Promise<boolean> => {
    try {
      await api.patch(path, values)
      await cache.invalidateQueries({ queryKey: keys.me })
      void message.success(said)
      return true
    } catch (error) {
      void message.error((error as Error).message, 6)
      return false
    }
  }
}

export function Account() {
  const { t } = useTranslation()
  const { user } = useSettings()
  const keep = useKeep()
  const [passwords] = Form.useForm<{ current_password: string; password: string }>()
  const changePassword = async (values: object) => {
    if (await keep('/account', values, t('account.changed'))) passwords.resetFields()
  }
  return (
    <Frame>
      <div className="sheet-view account">
        <h1>{t('account.title')}</h1>
        <LanguageChoice />
        <Form
          layout="vertical"
          initialValues={user}
          onFinish={(values) => void keep('/account', values, t('account.kept'))}
        >
          <Form.Item name="name" label={t('account.name')}>
            <Input autoComplete="name" />
          </Form.Item>
          <Form.Item name="email" label={t('account.email')}>
            <Input autoComplete="email" />
          </Form.Item>
          <Form.Item name="words_per_hour" label={t('account.pace')}>
            <InputNumber min={1} max={5000} />
          </Form.Item>
          <Form.Item name="reference_pattern" label={t('account.pattern')} extra={t('account.patternHint')}>
            <Input />
          </Form.Item>
          <Button type="primary" htmlType="submit">
            {t('account.keep')}
          </Button>
        </Form>
        <Work keep={keep} />
        <h2>{t('account.password')}</h2>
        <Form form={passwords} layout="vertical" onFinish={(values: object) => void changePassword(values)}>
          <Form.Item name="current_password" label={t('account.current')}>
            <Input.Password autoComplete="current-password" />
          </Form.Item>
          <Form.Item name="password" label={t('account.fresh')}>
            <Input.Password autoComplete="new-password" />
          </Form.Item>
          <Button htmlType="submit">{t('account.change')}</Button>
        </Form>
        <SecondFactor />
        <SignedIn />
      </div>
    </Frame>
  )
}

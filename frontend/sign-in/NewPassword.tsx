// A new password, by the link that a forgotten one was answered with.
import { App, Button, Form, Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { api, ApiError } from '../shared/api'

export function NewPassword() {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const token = useParams().token
  // Is a second factor asked for?
  const [second, setSecond] = useState(false)
  const set = async (values: object) => {
    try {
      await api.patch(`/password_resets/${token}`, values)
      window.location.href = '/'
    } catch (error) {
      if (error instanceof ApiError && error.code === 'code-needed') setSecond(true)
      void message.error((error as Error).message, 6)
    }
  }
  return (
    <main className="sheet-view">
      <h1>{t('account.setNew')}</h1>
      <Form layout="vertical" onFinish={(values: object) => void set(values)}>
        <Form.Item name="password" label={t('account.fresh')}>
          <Input.Password autoFocus autoComplete="new-password" />
        </Form.Item>
        {second && (
          <Form.Item name="code" label={t('sign.code')}>
            <Input autoComplete="one-time-code" />
          </Form.Item>
        )}
        <Button type="primary" htmlType="submit">
          {t('account.set')}
        </Button>
      </Form>
    </main>
  )
}

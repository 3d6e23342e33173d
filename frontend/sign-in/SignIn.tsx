// Signing in, or making an account.
import { Button, Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api, ApiError } from '../shared/api'
import { useInvitation } from '../sharing/queries'
import './sign-in.css'

// May anybody make an account here, without an invitation?
const anybody = () => document.querySelector('meta[name="sign-up"]')?.getAttribute('content') !== 'closed'

export function SignIn() {
  const { t } = useTranslation()
  const [token] = useState(() => new URLSearchParams(window.location.search).get('invitation'))
  const invited = useInvitation(token)
  const [making, setMaking] = useState(token !== null)
  const [fields, setFields] = useState({ name: '', email: '', password: '', code: '' })
  // Is a second factor asked for?
  const [second, setSecond] = useState(false)
  const [fault, setFault] = useState('')
  const [busy, setBusy] = useState(false)
  const [said, setSaid] = useState('')
  const forgotten = () => {
    if (!fields.email.trim()) return setFault(t('sign.emailFirst'))
    void api
      .post('/password_resets', { email: fields.email })
      .then(() => setSaid(t('account.forgottenLead')))
      .catch((error: Error) => setFault(error.message))
  }
  const set = (name: keyof typeof fields) => (event: React.ChangeEvent<HTMLInputElement>) =>
    setFields({ ...fields, [name]: event.target.value })
  const send = async (event: React.FormEvent) => {
    event.preventDefault()
    setBusy(true)
    try {
      const time_zone = Intl.DateTimeFormat().resolvedOptions().timeZone
      await (making
        ? api.post('/users', { ...fields, time_zone, invitation: token })
        : api.post('/session', fields))
      window.location.reload()
    } catch (error) {
      if (error instanceof ApiError && error.code === 'code-needed') setSecond(true)
      setFault((error as Error).message)
      setBusy(false)
    }
  }
  return (
    <main className="sign">
      <div className="side">
        <div className="mark">
          Glosse<i>ma</i>
        </div>
        <p>{t('sign.lead')}</p>
      </div>
      <form onSubmit={(event) => void send(event)}>
        <h1>{t(making ? 'sign.makeTitle' : 'sign.title')}</h1>
        {invited.data && <p>{t('sharing.invited', { ...invited.data })}</p>}
        {invited.error && <p className="alarm">{invited.error.message}</p>}
        {said && <p role="status">{said}</p>}
        {fault && (
          <div className="fault" role="alert">
            {fault}
          </div>
        )}
        {making && (
          <label>
            {t('sign.name')}
            <Input
              size="large"
              name="name"
              autoComplete="name"
              required
              value={fields.name}
              onChange={set('name')}
            />
          </label>
        )}
        <label>
          {t('sign.email')}
          <Input
            size="large"
            name="email"
            type="email"
            autoComplete="username"
            required
            value={fields.email}
            onChange={set('email')}
          />
        </label>
        <label>
          {t('sign.password')}
          <Input.Password
            size="large"
            name="password"
            aria-label={t('sign.password')}
            autoComplete={making ? 'new-password' : 'current-password'}
            required
            minLength={making ? 8 : undefined}
            value={fields.password}
            onChange={set('password')}
          />
          {making && <span className="small">{t('sign.least')}</span>}
        </label>
        {second && !making && (
          <label>
            {t('sign.code')}
            <Input
              size="large"
              autoFocus
              autoComplete="one-time-code"
              value={fields.code}
              onChange={set('code')}
            />
          </label>
        )}
        <Button type="primary" size="large" htmlType="submit" loading={busy}>
          {t(making ? 'sign.make' : 'sign.go')}
        </Button>
        {!making && (
          <button type="button" className="link" onClick={forgotten}>
            {t('account.forgotten')}
          </button>
        )}
        {(making || token !== null || anybody()) && (
          <button
            type="button"
            className="link small"
            onClick={() => {
              setMaking(!making)
              setFault('')
            }}
          >
            {t(making ? 'sign.toSign' : 'sign.toMake')}
          </button>
        )}
      </form>
    </main>
  )
}

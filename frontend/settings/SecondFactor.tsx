// A second factor beside the password: put into an authenticator, confirmed by a code, ended with the
// password and a code.
import { useQuery } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { keys } from '../shared/queryKeys'
import { useAct } from '../shared/useAct'

interface Begun {
  secret: string
  picture: string
}
type Step = { name: 'closed' } | { name: 'begun'; begun: Begun } | { name: 'codes'; codes: string[] }

export function SecondFactor() {
  const { t } = useTranslation()
  const { act } = useAct()
  const [step, setStep] = useState<Step>({ name: 'closed' })
  // What it is ended with, beside a code.
  const [ending, setEnding] = useState('')
  const { data, refetch } = useQuery({
    queryKey: keys.secondFactor,
    queryFn: () => api.get<{ on: boolean; codes: number }>('/second_factor'),
  })
  if (!data) return null
  const begin = (password: string) =>
    void act(async () =>
      setStep({ name: 'begun', begun: await api.post<Begun>('/second_factor', { password }) }),
    )
  const confirm = (code: string) =>
    void act(async () => {
      const { codes } = await api.patch<{ codes: string[] }>('/second_factor', { code })
      setStep({ name: 'codes', codes })
      await refetch()
    })
  const end = (code: string) =>
    void act(async () => {
      await api.delete('/second_factor', { password: ending, code })
      setEnding('')
      setStep({ name: 'closed' })
      await refetch()
    })
  return (
    <section className="second-factor" aria-label={t('factor.title')}>
      <h2>{t('factor.title')}</h2>
      <p className="quiet">{t(data.on ? 'factor.on' : 'factor.off', { count: data.codes })}</p>
      {step.name === 'begun' && <Scan begun={step.begun} onCode={confirm} />}
      {step.name === 'codes' && <Codes codes={step.codes} />}
      {step.name === 'closed' && !data.on && <Ask label="factor.begin" kind="password" onDone={begin} />}
      {data.on && (
        <div className="ask-for">
          <Input.Password
            autoComplete="current-password"
            aria-label={t('factor.passwordFor', { what: t('factor.end') })}
            placeholder={t('factor.password')}
            value={ending}
            onChange={(event) => setEnding(event.target.value)}
          />
          <Ask label="factor.end" kind="code" onDone={end} />
        </div>
      )}
    </section>
  )
}

function Scan({ begun, onCode }: { begun: Begun; onCode: (code: string) => void }) {
  const { t } = useTranslation()
  return (
    <>
      <p>{t('factor.scan')}</p>
      <img
        className="factor-picture"
        alt={t('factor.picture')}
        src={`data:image/svg+xml;utf8,${encodeURIComponent(begun.picture)}`}
      />
      <p>
        {t('factor.secret')} <code>{begun.secret}</code>
      </p>
      <Ask label="factor.confirm" kind="code" onDone={onCode} />
    </>
  )
}

function Codes({ codes }: { codes: string[] }) {
  const { t } = useTranslation()
  return (
    <div role="status">
      <p>{t('factor.codes')}</p>
      <ul className="recovery-codes">
        {codes.map((code) => (
          <li key={code}>
            <code>{code}</code>
          </li>
        ))}
      </ul>
    </div>
  )
}

interface AskProps {
  label: 'factor.begin' | 'factor.end' | 'factor.confirm'
  kind: 'password' | 'code'
  onDone: (text: string) => void
}

// A password or a code, and what is done with it.
function Ask({ label, kind, onDone }: AskProps) {
  const { t } = useTranslation()
  const [text, setText] = useState('')
  const shared = {
    value: text,
    'aria-label': t(`factor.${kind}For`, { what: t(label) }),
    placeholder: t(`factor.${kind}`),
    onChange: (event: React.ChangeEvent<HTMLInputElement>) => setText(event.target.value),
  }
  return (
    <form
      className="ask-for"
      onSubmit={(event) => {
        event.preventDefault()
        onDone(text)
        setText('')
      }}
    >
      {kind === 'password' ? (
        <Input.Password autoComplete="current-password" {...shared} />
      ) : (
        <Input autoComplete="one-time-code" inputMode="numeric" {...shared} />
      )}
      <Button htmlType="submit" disabled={!text}>
        {t(label)}
      </Button>
    </form>
  )
}

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
  const { data, refetch } = useQuery({
    queryKey: keys.secondFactor,
    queryFn: () => api.get<{ on: boolean; codes: number }>('/second_factor'),
  })
  if (!data) return null
  const begin = ({ password }: Answers) =>
    void act(async () =>
      setStep({ name: 'begun', begun: await api.post<Begun>('/second_factor', { password }) }),
    )
  const confirm = ({ code }: Answers) =>
    void act(async () => {
      const { codes } = await api.patch<{ codes: string[] }>('/second_factor', { code })
      setStep({ name: 'codes', codes })
      await refetch()
    })
  const end = ({ password, code }: Answers) =>
    void act(async () => {
      await api.delete('/second_factor', { password, code })
      setStep({ name: 'closed' })
      await refetch()
    })
  return (
    <section className="second-factor" aria-label={t('factor.title')}>
      <h2>{t('factor.title')}</h2>
      <p className="quiet">{t(data.on ? 'factor.on' : 'factor.off', { count: data.codes })}</p>
      {step.name === 'begun' && <Scan begun={step.begun} onCode={confirm} />}
      {step.name === 'codes' && <Codes codes={step.codes} />}
      {step.name === 'closed' && !data.on && (
        <Ask label="factor.begin" fields={['password']} onDone={begin} />
      )}
      {data.on && <Ask label="factor.end" fields={['password', 'code']} onDone={end} />}
    </section>
  )
}

function Scan({ begun, onCode }: { begun: Begun; onCode: (answers: Answers) => void }) {
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
      <Ask label="factor.confirm" fields={['code']} onDone={onCode} />
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

type Field = keyof Answers
interface Answers {
  password: string
  code: string
}
interface AskProps {
  label: 'factor.begin' | 'factor.end' | 'factor.confirm'
  fields: Field[]
  onDone: (answers: Answers) => void
}
const NONE: Answers = { password: '', code: '' }

// A form for a password, a code, or both, and one button.
function Ask({ label, fields, onDone }: AskProps) {
  const { t } = useTranslation()
  const [answers, setAnswers] = useState(NONE)
  const shared = (field: Field) => ({
    value: answers[field],
    'aria-label': t(`factor.${field}For`, { what: t(label) }),
    placeholder: t(`factor.${field}`),
    onChange: (event: React.ChangeEvent<HTMLInputElement>) =>
      setAnswers({ ...answers, [field]: event.target.value }),
  })
  return (
    <form
      className="ask-for"
      onSubmit={(event) => {
        event.preventDefault()
        onDone(answers)
        setAnswers(NONE)
      }}
    >
      {fields.includes('password') && (
        <Input.Password autoComplete="current-password" {...shared('password')} />
      )}
      {fields.includes('code') && <Input autoComplete="one-time-code" {...shared('code')} />}
      <Button htmlType="submit" disabled={fields.some((field) => !answers[field])}>
        {t(label)}
      </Button>
    </form>
  )
}

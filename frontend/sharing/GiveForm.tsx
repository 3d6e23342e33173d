// A memory or a termbase given to a colleague by mail address.
import { Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { giveTo, type Given, type Kind } from './queries'
import { RIGHTS } from './rights'

interface Props {
  kind: Kind
  id: number
  attempt: (work: () => Promise<unknown>) => void
}
const NOBODY: Given = { email: '', may: 'view', until: '' }

export function GiveForm({ kind, id, attempt }: Props) {
  const { t } = useTranslation()
  const [given, setGiven] = useState<Given | null>(null)
  if (!given)
    return (
      <button type="button" className="link" onClick={() => setGiven(NOBODY)}>
        {t('sharing.give')}
      </button>
    )
  const set = (fields: Partial<Given>) => setGiven({ ...given, ...fields })
  const give = () =>
    attempt(async () => {
      await giveTo(kind, id, given)
      setGiven(null)
    })
  return (
    <form
      className="give-form"
      onSubmit={(event) => {
        event.preventDefault()
        give()
      }}
    >
      <Input
        autoFocus
        size="small"
        type="email"
        aria-label={t('sharing.email')}
        placeholder={t('sharing.email')}
        value={given.email}
        onChange={(event) => set({ email: event.target.value })}
        onKeyDown={(event) => event.key === 'Escape' && setGiven(null)}
      />
      {RIGHTS.map((right) => (
        <label key={right}>
          <input
            type="radio"
            name="may"
            checked={given.may === right}
            onChange={() => set({ may: right, until: right === 'view' ? '' : given.until })}
          />{' '}
          {t(`sharing.rights.${right}`)}
        </label>
      ))}
      {given.may !== 'view' && (
        <label>
          {t('sharing.untilWhen')}{' '}
          <input type="date" value={given.until} onChange={(event) => set({ until: event.target.value })} />
        </label>
      )}
      <button type="submit" className="link" disabled={!given.email.trim()}>
        {t('sharing.giveNow')}
      </button>
      <button type="button" className="quiet-link" onClick={() => setGiven(null)}>
        {t('sharing.leave')}
      </button>
    </form>
  )
}

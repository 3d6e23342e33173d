// A memory or a termbase given to a colleague by mail address.
import { Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
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
      <MenuInPlace
        title={t('sharing.may', { name: given.email || t('sharing.colleague') })}
        label={t(`sharing.rights.${given.may}`)}
        value={given.may}
        options={RIGHTS.map((value) => ({ value, label: t(`sharing.rights.${value}`) }))}
        onChange={(value) => set({ may: value as Given['may'], until: value === 'view' ? '' : given.until })}
      />
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

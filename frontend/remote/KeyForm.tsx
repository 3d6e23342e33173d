// A new key: whose it is, what it may, how much, and until when.
import { Input, InputNumber } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { NewKey } from './queries'

const FRESH: NewKey = { name: '', may: 'read', per_minute: 600, until: '' }
const RIGHTS = ['read', 'write'] as const
const MOST = 100_000

export function KeyForm({ onMake }: { onMake: (fields: NewKey) => Promise<unknown> }) {
  const { t } = useTranslation()
  const [fields, setFields] = useState<NewKey | null>(null)
  if (!fields)
    return (
      <button type="button" className="link" onClick={() => setFields(FRESH)}>
        {t('remote.makeKey')}
      </button>
    )
  const set = (some: Partial<NewKey>) => setFields({ ...fields, ...some })
  return (
    <form
      className="key-form"
      onSubmit={(event) => {
        event.preventDefault()
        void onMake(fields).then((made) => made && setFields(null))
      }}
    >
      <Input
        autoFocus
        size="small"
        aria-label={t('remote.keyFor')}
        placeholder={t('remote.keyFor')}
        value={fields.name}
        onChange={(event) => set({ name: event.target.value })}
        onKeyDown={(event) => event.key === 'Escape' && setFields(null)}
      />
      {RIGHTS.map((may) => (
        <label key={may}>
          <input type="radio" name="key-may" checked={fields.may === may} onChange={() => set({ may })} />{' '}
          {t(`sharing.rights.${may}`)}
        </label>
      ))}
      <label>
        {t('remote.limit')}{' '}
        <InputNumber
          size="small"
          min={1}
          max={MOST}
          value={fields.per_minute}
          onChange={(per_minute) => set({ per_minute: per_minute ?? FRESH.per_minute })}
        />
      </label>
      <label>
        {t('sharing.untilWhen')}{' '}
        <input type="date" value={fields.until} onChange={(event) => set({ until: event.target.value })} />
      </label>
      <button type="submit" className="link" disabled={!fields.name.trim()}>
        {t('remote.makeNow')}
      </button>
      <button type="button" className="quiet-link" onClick={() => setFields(null)}>
        {t('remote.leave')}
      </button>
    </form>
  )
}

// The reviser inside the application: the user, or a colleague with an account and some access.
import { Input, Radio, Select } from 'antd'
import { useTranslation } from 'react-i18next'
import type { SheetOptions } from './queries'

interface Props {
  options: SheetOptions
  set: (fields: Partial<SheetOptions>) => void
}
const RIGHTS = ['read', 'remark', 'change'] as const

export function WhoReads({ options, set }: Props) {
  const { t } = useTranslation()
  const { email, may } = options
  return (
    <>
      <Radio.Group
        value={email === undefined ? 'self' : 'colleague'}
        options={[
          { value: 'self', label: t('review.byHer') },
          { value: 'colleague', label: t('review.byColleague') },
        ]}
        onChange={(event) => set({ email: event.target.value === 'self' ? undefined : '' })}
      />
      {email !== undefined && (
        <>
          <label>
            <span>{t('review.email')}</span>
            <Input type="email" value={email} onChange={(event) => set({ email: event.target.value })} />
          </label>
          <Select
            aria-label={t('review.pass.may')}
            value={may}
            options={RIGHTS.map((value) => ({ value, label: t(`review.rights.${value}`) }))}
            onChange={(value) => set({ may: value })}
          />
        </>
      )}
    </>
  )
}

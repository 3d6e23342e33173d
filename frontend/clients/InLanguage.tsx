// The language of what goes to this client: the translator's own, or another.
import { useTranslation } from 'react-i18next'
import { LANGUAGE_OPTIONS, type Language } from '../shared/i18n'
import { MenuInPlace } from '../shared/parts/MenuInPlace'

const OWN = 'own'

interface Props {
  value: Language | null
  onChange: (value: Language | null) => void
}

export function InLanguage({ value, onChange }: Props) {
  const { t } = useTranslation()
  const options = [{ value: OWN, label: t('clients.asScreen') }, ...LANGUAGE_OPTIONS]
  return (
    <MenuInPlace
      title={t('quote.language')}
      label={options.find((one) => one.value === (value ?? OWN))!.label}
      value={value ?? OWN}
      options={options}
      onChange={(chosen) => onChange(chosen === OWN ? null : (chosen as Language))}
    />
  )
}

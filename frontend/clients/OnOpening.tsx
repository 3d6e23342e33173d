// What an untouched segment of this client begins with: as she usually likes it, or otherwise.
import { useTranslation } from 'react-i18next'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import type { OnOpen } from '../shared/shapes'

const USUAL = 'usual'
const WAYS: OnOpen[] = ['nothing', 'source', 'match', 'machine']

interface Props {
  value: OnOpen | null
  onChange: (value: OnOpen | null) => void
}

export function OnOpening({ value, onChange }: Props) {
  const { t } = useTranslation()
  const options = [
    { value: USUAL, label: t('clients.asUsual') },
    ...WAYS.map((way) => ({ value: way as string, label: t(`ways.opened.${way}`) })),
  ]
  return (
    <MenuInPlace
      title={t('ways.onOpen')}
      label={options.find((one) => one.value === (value ?? USUAL))!.label}
      value={value ?? USUAL}
      options={options}
      onChange={(chosen) => onChange(chosen === USUAL ? null : (chosen as OnOpen))}
    />
  )
}

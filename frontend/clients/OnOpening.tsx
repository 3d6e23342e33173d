// What an untouched segment of this client begins with: the usual setting, or another one.
import { useTranslation } from 'react-i18next'
import type { OnOpen } from '../shared/shapes'
import { ChoiceOrDefault } from './ChoiceOrDefault'

const WAYS: OnOpen[] = ['nothing', 'source', 'match', 'machine']

interface Props {
  value: OnOpen | null
  onChange: (value: OnOpen | null) => void
}

export function OnOpening({ value, onChange }: Props) {
  const { t } = useTranslation()
  const options = WAYS.map((way) => ({ value: way, label: t(`ways.opened.${way}`) }))
  return (
    <ChoiceOrDefault
      title={t('ways.onOpen')}
      usual={t('clients.asUsual')}
      {...{ options, value, onChange }}
    />
  )
}

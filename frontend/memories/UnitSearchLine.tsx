// The words that units are searched by, and on which side.
import { Input } from 'antd'
import { useTranslation } from 'react-i18next'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import type { UnitSearch } from './queries'

const SIDES = ['both', 'source', 'target']

interface Props {
  search: UnitSearch
  onNarrow: (fields: Partial<UnitSearch>) => void
}

export function UnitSearchLine({ search, onNarrow }: Props) {
  const { t } = useTranslation()
  return (
    <div className="unit-search" role="search">
      <Input
        allowClear
        autoFocus
        size="large"
        placeholder={t('memories.search')}
        aria-label={t('memories.search')}
        value={search.text}
        onChange={(event) => onNarrow({ text: event.target.value })}
      />
      <MenuInPlace
        title={t('memories.side')}
        label={t(`memories.sides.${search.side}`)}
        value={search.side}
        options={SIDES.map((side) => ({ value: side, label: t(`memories.sides.${side}`) }))}
        onChange={(side) => onNarrow({ side })}
      />
    </div>
  )
}

// What a count was made against, and what it would be without one of the memories, or any: counted at once.
import { useTranslation } from 'react-i18next'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import type { Report } from '../shared/types'
import { useReportNames } from './useReportNames'

interface Props {
  report: Report
  recount?: (memories: number[]) => void
}

export function Against({ report, recount }: Props) {
  const { t } = useTranslation()
  const { against } = useReportNames()
  const ids = report.memories.map((memory) => memory.id)
  const names = report.memories.map((memory) => memory.name)
  if (!recount || !ids.length) return <b title={names.join(', ')}>{against(names)}</b>
  return (
    <MenuInPlace
      title={t('count.against')}
      label={against(names)}
      value=""
      options={[
        ...report.memories.map(({ id, name }) => ({
          value: ids.filter((other) => other !== id).join(','),
          label: t('count.withoutOne', { name }),
        })),
        ...(ids.length > 1 ? [{ value: 'none', label: t('count.withoutAny') }] : []),
      ]}
      onChange={(list) => recount(list === 'none' ? [] : list.split(',').filter(Boolean).map(Number))}
    />
  )
}

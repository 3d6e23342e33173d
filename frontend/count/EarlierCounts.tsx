// The counts of a project, the latest first; each opens.
import { useTranslation } from 'react-i18next'
import { fullDate, time } from '../shared/i18n'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import type { Report, ReportLine } from '../shared/types'
import { useReportNames } from './useReportNames'

interface Props {
  report: Report
  own: ReportLine[]
  open: (id: number) => void
}

export function EarlierCounts({ report, own, open }: Props) {
  const { t } = useTranslation()
  const { named } = useReportNames()
  const when = `${fullDate(report.created_at)}, ${time(report.created_at)}`
  if (own.length < 2) return <>{when}</>
  return (
    <MenuInPlace
      title={t('count.earlier')}
      label={when}
      value={String(report.id)}
      options={own.map((line) => ({ value: String(line.id), label: named(line, report.name) }))}
      onChange={(id) => open(Number(id))}
    />
  )
}

// How counts are called beside each other.
import { useTranslation } from 'react-i18next'
import { fullDate, time } from '../shared/i18n'
import type { ReportLine } from '../shared/types'

export function useReportNames() {
  const { t } = useTranslation()
  const against = (names: string[]) =>
    names.length ? t('count.memories', { count: names.length }) : t('count.noMemories')
  // A count beside another one; of the same name it is told by the rest.
  const named = (line: ReportLine, beside: string) =>
    [
      line.name === beside ? '' : line.name,
      against(line.against),
      `${fullDate(line.created_at)}, ${time(line.created_at)}`,
    ]
      .filter(Boolean)
      .join(' · ')
  return { against, named }
}

// By whom a finding was let stand, for how much, and why.
import { useTranslation } from 'react-i18next'
import { fullDate } from '../../shared/i18n'
import type { Finding } from '../queries'

export function Standing({ finding: { stands } }: { finding: Finding }) {
  const { t } = useTranslation()
  if (!stands) return null
  const by = t(`check.stands.${stands.place}`, { author: stands.author, date: fullDate(stands.created_at) })
  return <p className="small quiet">{stands.reason ? `${by}: ${stands.reason}` : by}</p>
}

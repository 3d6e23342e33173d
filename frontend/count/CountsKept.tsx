// All counts that are kept, by client and language pair; each opens, and two can be laid beside each other
// there.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { useClients } from '../brief/queries'
import { number, shortDate } from '../shared/i18n'
import { BandBar } from '../shared/parts/BandBar'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import type { ReportLine } from '../shared/types'
import { useReports } from './queries'

const pairOf = (line: ReportLine) => [line.source_lang, line.target_lang].filter(Boolean).join(' → ')
export const addressOf = (line: ReportLine) =>
  line.project ? `/projects/${line.project_id}/count?report=${line.id}` : `/counts/${line.id}`

export function CountsKept() {
  const { t } = useTranslation()
  const [client, setClient] = useState('')
  const [pair, setPair] = useState('')
  const clients = useClients().data ?? []
  const all = useReports(client ? { client_id: Number(client) } : {}).data ?? []
  const pairs = [...new Set(all.map(pairOf))].filter(Boolean)
  const shown = pair ? all.filter((line) => pairOf(line) === pair) : all
  return (
    <aside>
      <h2>{t('count.kept')}</h2>
      <p className="small quiet">
        <MenuInPlace
          title={t('count.filterClient')}
          label={clients.find((one) => String(one.id) === client)?.name ?? t('count.anyClient')}
          value={client}
          options={[
            { value: '', label: t('count.anyClient') },
            ...clients.map((one) => ({ value: String(one.id), label: one.name })),
          ]}
          onChange={setClient}
        />{' '}
        ·{' '}
        <MenuInPlace
          title={t('count.filterPair')}
          label={pair || t('count.anyPair')}
          value={pair}
          options={[
            { value: '', label: t('count.anyPair') },
            ...pairs.map((one) => ({ value: one, label: one })),
          ]}
          onChange={setPair}
        />
      </p>
      <ul className="counts-kept">
        {shown.map((line) => (
          <CountLine key={line.id} line={line} />
        ))}
      </ul>
      {!shown.length && <p className="small quiet">{t('count.keptNone')}</p>}
    </aside>
  )
}

function CountLine({ line }: { line: ReportLine }) {
  const { t } = useTranslation()
  const against = line.against.length
    ? t('count.memories', { count: line.against.length })
    : t('count.noMemories')
  return (
    <li>
      <Link to={addressOf(line)}>{line.name}</Link>
      <p className="small quiet">
        {[line.project ?? line.client, shortDate(line.created_at), against, t(`count.made.${line.made}`)]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <div className="figures">
        <BandBar files={[line.groups]} />
        <span className="tab small">{number(line.words ?? 0)}</span>
      </div>
    </li>
  )
}

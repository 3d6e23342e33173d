// Which services of machine translation are asked first for a client, by language pair, and how many of their
// proposals are shown.
import { Select } from 'antd'
import { useTranslation } from 'react-i18next'
import { languageName } from '../shared/languages'
import type { ClientPage } from '../shared/types'
import type { ChangeClient } from './queries'

interface Props {
  client: ClientPage
  change: ChangeClient
}
const MOST_SHOWN = 3

export function ServiceOrder({ client, change }: Props) {
  const { t } = useTranslation()
  const counts = Array.from({ length: MOST_SHOWN }, (_, index) => index + 1)
  return (
    <div className="service-order small">
      {client.machine_pairs.map((pair) => (
        <PairOrder key={pair.join('>')} pair={pair} {...{ client, change }} />
      ))}
      <p className="quiet">{t('clients.serviceOrderHint')}</p>
      <label>
        {t('clients.servicesShown')}{' '}
        <Select
          size="small"
          value={client.machine_shown}
          onChange={(machine_shown) => change({ machine_shown })}
          options={counts.map((count) => ({
            value: count,
            label: t('clients.servicesShownCount', { count }),
          }))}
        />
      </label>
    </div>
  )
}

function PairOrder({ client, change, pair }: Props & { pair: [string, string] }) {
  const { t } = useTranslation()
  const name = pair.join('>')
  const label = t('clients.serviceOrder', { pair: pair.map(languageName).join(' → ') })
  const fits = client.machine_services.filter(({ languages }) => fitsPair(languages, pair))
  if (fits.length < 2) return null
  const chosen = client.machine_order[name] ?? []
  const order = [...chosen, ...fits.map(({ id }) => id).filter((id) => !chosen.includes(id))]
  return (
    <label className="pair-order">
      <span>{label}</span>
      <Select
        mode="multiple"
        size="small"
        aria-label={label}
        value={order}
        options={fits.map((service) => ({ value: service.id, label: service.name }))}
        onChange={(ids: number[]) => change({ machine_order: { ...client.machine_order, [name]: ids } })}
      />
    </label>
  )
}

// A service that names no languages is for all; a language by itself covers its regions.
const fitsPair = (languages: string[], pair: [string, string]) =>
  languages.length === 0 ||
  languages.some((own) => own.split('>').every((tag, side) => tag.split('-')[0] === pair[side]))

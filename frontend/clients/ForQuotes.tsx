// What a client's quotes contain: address, terms, validity, logo.
import { useQueryClient } from '@tanstack/react-query'
import type { ChangeEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { LETTER_OPTIONS } from '../shared/i18n'
import { keys } from '../shared/queryKeys'
import { AmountInPlace } from '../shared/parts/AmountInPlace'
import type { ClientPage } from '../shared/types'
import { useAct } from '../shared/useAct'
import { LongInPlace } from '../shared/parts/LongInPlace'
import { Row } from '../shared/parts/Row'
import { ChoiceOrDefault } from './ChoiceOrDefault'
import { dropLogo, sendLogo, type ChangeClient } from './queries'

const MOST_DAYS = 365

export function ForQuotes({ client, change }: { client: ClientPage; change: ChangeClient }) {
  const { t } = useTranslation()
  const setDays = (value: string) => {
    const days = Number(value)
    if (!Number.isInteger(days) || days < 1 || days > MOST_DAYS) return t('clients.daysWrong', { value })
    change({ valid_days: days })
    return undefined
  }
  return (
    <>
      <h2>{t('clients.onQuotes')}</h2>
      <dl>
        <Row label={t('clients.ownAddress')}>
          <LongInPlace
            label={t('clients.ownAddress')}
            blank={t('clients.asInAccount')}
            value={client.own_address}
            onChange={(own_address) => change({ own_address })}
          />
        </Row>
        <Row label={t('quote.conditions')}>
          <LongInPlace
            label={t('quote.conditions')}
            blank={t('brief.write')}
            value={client.conditions}
            onChange={(conditions) => change({ conditions })}
          />
        </Row>
        <Row label={t('quote.language')}>
          <ChoiceOrDefault
            title={t('quote.language')}
            usual={t('clients.asScreen')}
            options={LETTER_OPTIONS}
            value={client.language}
            onChange={(language) => change({ language })}
          />
        </Row>
        <Row label={t('clients.valid')}>
          <AmountInPlace
            label={t('clients.valid')}
            shown={t('quote.days', { count: client.valid_days })}
            value={String(client.valid_days)}
            onChange={setDays}
          />
        </Row>
        <Row label={t('clients.logo')}>
          <Logo client={client} />
        </Row>
      </dl>
    </>
  )
}

function Logo({ client }: { client: ClientPage }) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act } = useAct()
  const put = (work: () => Promise<ClientPage>) =>
    void act(async () => {
      cache.setQueryData(keys.client(client.id), await work())
    })
  const choose = (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    event.target.value = ''
    if (file) put(() => sendLogo(client.id, file))
  }
  return (
    <span className="logo">
      {client.has_logo && <img src={`/api/clients/${client.id}/logo`} alt={t('clients.logo')} />}
      <label className="plain-link">
        {t(client.has_logo ? 'clients.otherLogo' : 'clients.chooseLogo')}
        <input type="file" accept="image/*" className="hidden-text" onChange={choose} />
      </label>
      {client.has_logo && (
        <button type="button" className="plain-link" onClick={() => put(() => dropLogo(client.id))}>
          {t('brief.remove')}
        </button>
      )}
    </span>
  )
}

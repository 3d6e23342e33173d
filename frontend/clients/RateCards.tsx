// Rates per language pair, of a client or of anybody: a card each, and a new one.
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { money, percentOf } from '../count/figures'
import { languageName } from '../shared/languages'
import { keys } from '../shared/queryKeys'
import { BANDS, type RateCard as Card } from '../shared/types'
import { useAct } from '../shared/useAct'
import { dropCard, useRateCards } from './queries'
import { RateForm } from './RateForm'

export function RateCards({ client }: { client: number | null }) {
  const { t } = useTranslation()
  const cards = useRateCards(client).data ?? []
  const [open, setOpen] = useState<number | 'new' | null>(null)
  return (
    <>
      <h2>{t(client ? 'clients.rates' : 'clients.usualRates')}</h2>
      {!cards.length && open !== 'new' && (
        <p className="small quiet">{t(client ? 'clients.noRates' : 'clients.noUsualRates')}</p>
      )}
      {cards.map((card) =>
        open === card.id ? (
          <RateForm key={card.id} client={client} card={card} close={() => setOpen(null)} />
        ) : (
          <CardLine key={card.id} card={card} edit={() => setOpen(card.id)} />
        ),
      )}
      {open === 'new' ? (
        <RateForm client={client} close={() => setOpen(null)} />
      ) : (
        <button type="button" className="plain-link small" onClick={() => setOpen('new')}>
          {t('clients.addRates')}
        </button>
      )}
    </>
  )
}

// A band and its weight, on one line.
const weightOf = (band: string, weight?: string) =>
  `${band}: ${percentOf(weight || '1')}`.replaceAll(' ', '\u00a0').replaceAll('–', '–\u2060')

function CardLine({ card, edit }: { card: Card; edit: () => void }) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act } = useAct()
  const { rates } = card
  const pair = `${languageName(card.source_lang)} → ${languageName(card.target_lang)}`
  const drop = () =>
    void act(async () => {
      await dropCard(card.id)
      await cache.invalidateQueries({ queryKey: keys.rateCards(card.client_id) })
    })
  const facts = [
    rates.minimum && t('clients.atLeast', { amount: money(rates.minimum, rates.currency) }),
    Number(rates.rush ?? 0) > 0 && t('clients.withRush', { share: percentOf(rates.rush!) }),
    rates.rounding && t('clients.roundedTo', { amount: money(rates.rounding, rates.currency) }),
  ]
  return (
    <div className="rate-card">
      <p>
        <b>{pair}</b>{' '}
        <span className="tab">
          {money(rates.rate, rates.currency)} {t(`quote.units.${rates.unit ?? 'word'}`)}
        </span>
      </p>
      <p className="small quiet">{facts.filter(Boolean).join(' · ')}</p>
      <p className="small quiet tab">
        {BANDS.map((band) => weightOf(t(`bandNames.${band}`), rates.weights?.[band])).join(' · ')}
      </p>
      <p className="small presses">
        <button
          type="button"
          className="plain-link"
          aria-label={`${t('clients.changeRates')}: ${pair}`}
          onClick={edit}
        >
          {t('clients.changeRates')}
        </button>
        <button
          type="button"
          className="plain-link"
          aria-label={`${t('clients.dropRates')}: ${pair}`}
          onClick={drop}
        >
          {t('clients.dropRates')}
        </button>
      </p>
    </div>
  )
}

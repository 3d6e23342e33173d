// What a quote is made of: rate, unit, currency, minimum, rush and rounding, each changed where it stands.
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { AmountInPlace } from '../shared/parts/AmountInPlace'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import { currencies, UNITS } from '../clients/choices'
import type { RateUnit } from '../shared/types'
import { money, percentOf } from './figures'
import { amountOf, shareOf, type RatesInHand } from './useRates'

const RUSHES = ['0', '0.15', '0.25', '0.5']

export function QuoteTerms({ hand }: { hand: RatesInHand }) {
  const { t } = useTranslation()
  const { rates, set, quote } = hand
  const unit: RateUnit = rates.unit ?? 'word'
  const reached = Number(quote.net) === Number(rates.minimum || 0)
  return (
    <dl className="terms">
      <Term label={t('quote.rate')}>
        <AmountInPlace
          label={t('quote.rate')}
          shown={money(rates.rate, rates.currency)}
          value={rates.rate}
          onChange={(value) => set('rate', amountOf(value))}
        />{' '}
        <MenuInPlace
          title={t('quote.unit')}
          label={t(`quote.units.${unit}`)}
          value={unit}
          options={UNITS.map((value) => ({ value, label: t(`quote.units.${value}`) }))}
          onChange={(value) => void set('unit', value)}
        />
      </Term>
      {unit === 'page' && (
        <Term label={t('quote.page')}>
          <AmountInPlace
            label={t('quote.page')}
            shown={t('quote.pageOf', { characters: rates.page_characters || '1500' })}
            value={rates.page_characters || '1500'}
            onChange={(value) => set('page_characters', amountOf(value))}
          />
        </Term>
      )}
      <Term label={t('quote.currency')}>
        <ChoiceInPlace
          label={t('quote.currency')}
          blank={t('quote.currency')}
          value={rates.currency}
          options={currencies}
          onChange={(value) => void set('currency', value)}
        />
      </Term>
      <Term label={t('quote.minimum')}>
        <AmountInPlace
          label={t('quote.minimum')}
          shown={rates.minimum ? money(rates.minimum, rates.currency) : t('quote.none')}
          value={rates.minimum ?? ''}
          onChange={(value) => set('minimum', amountOf(value))}
        />{' '}
        {rates.minimum && (
          <span className="small quiet">{t(reached ? 'quote.reached' : 'quote.notReached')}</span>
        )}
      </Term>
      <Term label={t('quote.rush')}>
        <AmountInPlace
          label={t('quote.rush')}
          shown={Number(rates.rush || 0) ? percentOf(rates.rush!) : t('quote.none')}
          value={percentOf(rates.rush || '0')}
          onChange={(value) => set('rush', shareOf(value) ?? value)}
        />{' '}
        <Rushes hand={hand} />
      </Term>
      <Term label={t('quote.rounding')}>
        <AmountInPlace
          label={t('quote.rounding')}
          shown={t('quote.to', { amount: money(rates.rounding || '0.01', rates.currency) })}
          value={rates.rounding ?? ''}
          onChange={(value) => set('rounding', amountOf(value))}
        />
      </Term>
    </dl>
  )
}

// The usual surcharges at one press.
function Rushes({ hand }: { hand: RatesInHand }) {
  const { t } = useTranslation()
  const now = Number(hand.rates.rush || 0)
  const shares = [...new Set([...RUSHES, hand.agreedRush])].toSorted(
    (one, other) => Number(one) - Number(other),
  )
  return (
    <span className="presses small" role="group" aria-label={t('quote.rush')}>
      {shares
        .filter((share) => Number(share) !== now)
        .map((share) => (
          <button
            type="button"
            className="plain-link"
            key={share}
            onClick={() => void hand.set('rush', share)}
          >
            {Number(share) ? percentOf(share) : t('quote.none')}
          </button>
        ))}
    </span>
  )
}

const Term = ({ label, children }: { label: string; children: ReactNode }) => (
  <div>
    <dt>{label}</dt>
    <dd>{children}</dd>
  </div>
)

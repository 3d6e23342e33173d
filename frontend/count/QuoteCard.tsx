// The quote of a count in edit: price, its parts, what the memories save, when it can be done; and Save.
import { Button } from 'antd'
import { useTranslation } from 'react-i18next'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import { dayAndMonth } from '../shared/i18n'
import { less } from '../shared/quote'
import type { Report, Working } from '../shared/types'
import { DueDate } from '../brief/DueDate'
import { money, percentOf } from './figures'
import { QuoteTerms } from './QuoteTerms'
import { QuoteTime } from './QuoteTime'
import { isLate, useSaveQuote, type SavingQuote } from './useSaveQuote'
import type { RatesInHand } from './useRates'

const VALIDITIES = [7, 14, 30, 60, 90]

interface Props {
  report: Report
  hand: RatesInHand
  working: Working
  due: string | null
}

export function QuoteCard({ report, hand, working, due }: Props) {
  const { t } = useTranslation()
  const saving = useSaveQuote(report, hand, working, due)
  const { quote } = hand
  return (
    <section className="quote-card" aria-label={t('quote.title')}>
      <h2>{t('quote.title')}</h2>
      <p className="price tab">{money(quote.total, quote.currency)}</p>
      <p className="small quiet">
        {report.client ? t('quote.for', { client: report.client }) : t('quote.forNobody')} ·{' '}
        {t('quote.validUntil')}{' '}
        <MenuInPlace
          title={t('quote.validUntil')}
          label={dayAndMonth(saving.validUntil)}
          value={String(saving.days)}
          options={VALIDITIES.map((days) => ({
            value: String(days),
            label: t('quote.days', { count: days }),
          }))}
          onChange={(days) => saving.setDays(Number(days))}
        />
      </p>
      <QuoteTerms hand={hand} />
      <Savings hand={hand} client={report.client} />
      <QuoteTime {...{ saving, working }} />
      <ProposedRush {...{ saving, hand }} />
      <p className="small quiet due-line">
        {t('quote.due')} <DueDate due={saving.due} onChange={saving.setDue} />
      </p>
      <Button type="primary" size="large" block loading={saving.busy} onClick={saving.keep}>
        {t('quote.keep')}
      </Button>
      {hand.changed && (
        <p className="small quiet back">
          {t('quote.tried')}{' '}
          <button type="button" className="plain-link" onClick={hand.reset}>
            {t('quote.reset')}
          </button>
        </p>
      )}
    </section>
  )
}

// The rush fee agreed with the client, where the due date asks for it.
function ProposedRush({ saving, hand }: { saving: SavingQuote; hand: RatesInHand }) {
  const { t } = useTranslation()
  const { agreedRush, rates, set } = hand
  if (!isLate(saving) || !Number(agreedRush) || Number(rates.rush)) return null
  return (
    <p className="small proposed-rush">
      {t('quote.rushProposed')}{' '}
      <button type="button" className="link" onClick={() => void set('rush', agreedRush)}>
        {t('quote.addRush', { share: percentOf(agreedRush) })}
      </button>
    </p>
  )
}

function Savings({ hand, client }: { hand: RatesInHand; client: string | null }) {
  const { t } = useTranslation()
  const { quote, bare } = hand
  const saved = less(bare.total, quote.total)
  if (Number(saved) <= 0) return null
  return (
    <p className="savings">
      {t('quote.without')} <b className="tab">{money(bare.total, quote.currency)}</b>.{' '}
      {t('quote.save', { client: client ?? t('quote.theClient'), amount: money(saved, quote.currency) })}
    </p>
  )
}

// The quotes made of a project's counts, or of this one: number, price, state; each opens as the client reads
// it.
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { shortDate } from '../shared/i18n'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import { keys } from '../shared/queryKeys'
import type { Quote, QuoteState, Report } from '../shared/types'
import { useAct } from '../shared/useAct'
import { money } from './figures'
import { setQuoteState, useQuotes } from './queries'

const STATES: QuoteState[] = ['open', 'sent', 'accepted', 'declined']

export function QuoteLines({ report }: { report: Report }) {
  const asked = report.project_id ? { project_id: report.project_id } : { report_id: report.id }
  return <QuoteList quotes={useQuotes(asked).data ?? []} />
}

export function QuoteList({ quotes }: { quotes: Quote[] }) {
  const { t } = useTranslation()
  if (!quotes.length) return null
  return (
    <section className="quote-list">
      <h3>{t('quote.list')}</h3>
      <ul>
        {quotes.map((quote) => (
          <QuoteLine key={quote.id} quote={quote} />
        ))}
      </ul>
    </section>
  )
}

function QuoteLine({ quote }: { quote: Quote }) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act } = useAct()
  const put = (state: string) =>
    void act(async () => {
      await setQuoteState(quote.id, state as QuoteState)
      await cache.invalidateQueries({ queryKey: keys.allQuotes })
      await cache.invalidateQueries({ queryKey: keys.today })
    })
  return (
    <li>
      <Link className="plain-link" to={`/quotes/${quote.id}`}>
        {quote.number}
      </Link>
      <span className="quiet small">{shortDate(quote.created_at)}</span>
      <b className="tab">{money(quote.figures.total, quote.figures.currency)}</b>
      <MenuInPlace
        title={t('quote.stateOf', { number: quote.number })}
        label={t(`quote.states.${quote.state}`)}
        value={quote.state}
        options={STATES.map((state) => ({ value: state, label: t(`quote.states.${state}`) }))}
        onChange={put}
      />
    </li>
  )
}

// A quote as the client reads and signs it: letter head, lines, totals, conditions; it prints on A4.
import { Button } from 'antd'
import type { CSSProperties } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { Speaking } from '../shared/Speaking'
import type { QuotePage as Page } from '../shared/types'
import { useWriting } from '../shared/useWriting'
import { LetterLanguage } from './LetterLanguage'
import { quoteExportAddress, useQuote } from './queries'
import { LetterFiles, LetterLines } from './QuoteLetter'
import './letter.css'

const FORMS = ['xlsx', 'csv', 'xml']

export function QuotePage() {
  const { t } = useTranslation()
  const id = Number(useParams().id)
  const query = useQuote(id)
  const quote = query.data
  if (!quote)
    return (
      <Frame>
        {query.error ? <Failure error={query.error} again={() => void query.refetch()} /> : <Waiting />}
      </Frame>
    )
  return (
    <Frame>
      <div className="letter-view">
        <nav className="letter-acts" aria-label={t('quote.page_title', { number: quote.number })}>
          <Link className="plain-link" to={backOf(quote)}>
            {t('quote.back')}
          </Link>
          <span className="presses">
            {FORMS.map((form) => (
              <a key={form} className="plain-link" href={quoteExportAddress(id, form)} download>
                {form.toUpperCase()}
              </a>
            ))}
          </span>
          <LetterLanguage quote={quote} />
          <Button type="primary" onClick={() => window.print()}>
            {t('quote.print')}
          </Button>
        </nav>
        <Speaking language={quote.letter.language}>
          <Letter quote={quote} />
        </Speaking>
      </div>
    </Frame>
  )
}

const backOf = (quote: Page) =>
  quote.project_id
    ? `/projects/${quote.project_id}/count?report=${quote.report_id}`
    : `/counts/${quote.report_id}`

function Letter({ quote }: { quote: Page }) {
  const { t } = useTranslation()
  const { fullDate, longDate, languageName } = useWriting()
  const { letter, report } = quote
  return (
    <article className="letter" lang={letter.language}>
      <header>
        <Lines text={letter.from} className="from" />
        {quote.has_logo && <img src={`/api/clients/${quote.client_id}/logo`} alt="" />}
      </header>
      <Lines text={letter.to} className="to" />
      <dl className="marks">
        <Mark name={t('quote.number')} value={quote.number} />
        <Mark name={t('quote.date')} value={fullDate(quote.created_at)} />
        <Mark name={t('quote.valid')} value={fullDate(quote.valid_until)} />
      </dl>
      <h1>{t('quote.subject', { name: quote.project ?? report.name })}</h1>
      <p className="lead">
        {t('quote.languages', {
          from: languageName(report.source_lang),
          into: languageName(report.target_lang),
        })}
        {quote.done_at && ` · ${t('quote.doneLine', { when: longDate(quote.done_at) })}`}
      </p>
      <LetterLines quote={quote} />
      <LetterFiles quote={quote} />
      {letter.conditions && (
        <section>
          <h2>{t('quote.conditions')}</h2>
          <p className="conditions">{letter.conditions}</p>
        </section>
      )}
      <p className="sign">{t('quote.sign')}</p>
    </article>
  )
}

const Lines = ({ text, className }: { text: string; className: string }) => (
  <address className={className} style={{ whiteSpace: 'pre-line' } as CSSProperties}>
    {text}
  </address>
)

const Mark = ({ name, value }: { name: string; value: string }) => (
  <div>
    <dt>{name}</dt>
    <dd>{value}</dd>
  </div>
)

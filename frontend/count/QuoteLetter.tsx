// The figures of a quote as a client reads them: a line for each band that has words, what it means, the
// sums; and what each file holds.
import { useTranslation } from 'react-i18next'
import { less } from '../shared/quote'
import type { QuoteLine, QuotePage } from '../shared/types'
import { useWriting } from '../shared/useWriting'
import { percentOf } from './figures'

export function LetterLines({ quote }: { quote: QuotePage }) {
  const { t } = useTranslation()
  const { figures, rates } = quote
  const lines = figures.lines.filter((line) => line.words > 0)
  const flat = rates.unit === 'flat'
  return (
    <table className="lines">
      <thead>
        <tr>
          <th scope="col">{t('quote.what')}</th>
          {['words', 'weight', 'weighted', 'price'].map((column) => (
            <th scope="col" key={column}>
              {t(`quote.${column}`)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <BandLine key={line.band} line={line} currency={figures.currency} flat={flat} />
        ))}
      </tbody>
      <tfoot>
        <Sums quote={quote} />
      </tfoot>
    </table>
  )
}

function BandLine({ line, currency, flat }: { line: QuoteLine; currency: string; flat: boolean }) {
  const { t } = useTranslation()
  const { number, money } = useWriting()
  return (
    <tr>
      <th scope="row">
        {t(`bandNames.${line.band}`)}
        <span className="means">{t(`bandSentences.${line.band}`)}</span>
      </th>
      <td>{number(line.words)}</td>
      <td>{percentOf(line.weight)}</td>
      <td>{number(Number(line.weighted))}</td>
      <td>{flat ? '' : money(Number(line.price).toFixed(2), currency)}</td>
    </tr>
  )
}

function Sums({ quote }: { quote: QuotePage }) {
  const { t } = useTranslation()
  const { number, money } = useWriting()
  const { figures, rates } = quote
  const shown = (amount: string) => money(amount, figures.currency)
  const rate = t('quote.rateLine', {
    amount: shown(rates.rate),
    unit: t(`quote.units.${rates.unit ?? 'word'}`),
  })
  const minimum = rates.minimum && Number(figures.net) === Number(rates.minimum)
  const saved = less(figures.bare_total, figures.total)
  return (
    <>
      <tr>
        <th scope="row">{minimum ? t('quote.minimumLine') : `${t('quote.sum')}, ${rate}`}</th>
        <td>{number(figures.lines.reduce((sum, line) => sum + line.words, 0))}</td>
        <td aria-hidden="true" />
        <td>{number(Number(figures.weighted_words))}</td>
        <td>{shown(figures.net)}</td>
      </tr>
      {Number(figures.rush) > 0 && (
        <tr>
          <th scope="row" colSpan={4}>
            {t('quote.rushLine', { share: percentOf(rates.rush ?? '0') })}
          </th>
          <td>{shown(figures.rush)}</td>
        </tr>
      )}
      <tr className="total">
        <th scope="row" colSpan={4}>
          {t('quote.total')}
          {Number(saved) > 0 && (
            <span className="means">
              {t('quote.savedLine', { amount: shown(saved), bare: shown(figures.bare_total) })}
            </span>
          )}
        </th>
        <td>{shown(figures.total)}</td>
      </tr>
    </>
  )
}

// Where several files are counted: what each of them holds, by band.
export function LetterFiles({ quote }: { quote: QuotePage }) {
  const { t } = useTranslation()
  const { number, money } = useWriting()
  const { files } = quote.report.figures
  const bands = quote.figures.lines.filter((line) => line.words > 0).map((line) => line.band)
  const priced = quote.rates.unit !== 'flat'
  if (files.length < 2) return null
  return (
    <section>
      <h2>{t('quote.ofFiles')}</h2>
      <table className="lines files">
        <thead>
          <tr>
            <th scope="col">{t('quote.file')}</th>
            {bands.map((band) => (
              <th scope="col" key={band}>
                {t(`bandNames.${band}`)}
              </th>
            ))}
            <th scope="col">{t('quote.words')}</th>
            {priced && <th scope="col">{t('quote.price')}</th>}
          </tr>
        </thead>
        <tbody>
          {files.map((file, index) => (
            <tr key={file.document_id}>
              <th scope="row">{file.name}</th>
              {bands.map((band) => (
                <td key={band}>{number(file.bands[band].words)}</td>
              ))}
              <td>{number(file.words)}</td>
              {priced && <td>{money(quote.file_prices[index], quote.figures.currency)}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

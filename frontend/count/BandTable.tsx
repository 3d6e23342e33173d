// The bands of a count: words, segments, what each weighs, and what the count beside it has less or more.
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { AmountInPlace } from '../shared/parts/AmountInPlace'
import { bandInk } from '../shared/parts/bands'
import { BANDS, type Band, type Beside, type QuoteLine, type ReportFigures } from '../shared/types'
import { percentOf, signed, wordsOf } from './figures'
import type { RatesInHand } from './useRates'

interface Props {
  figures: ReportFigures
  hand: RatesInHand
  beside: Beside | null
  inside: boolean
}

export function BandTable({ figures, hand, beside, inside }: Props) {
  const { t } = useTranslation()
  const columns = [
    'words',
    'segments',
    'weight',
    'weighted',
    ...(inside ? ['inside'] : []),
    ...(beside ? ['beside'] : []),
  ]
  return (
    <table className="bands">
      <thead>
        <tr>
          <th scope="col">{t('count.band')}</th>
          {columns.map((column) => (
            <th scope="col" key={column}>
              {t(`count.columns.${column}`)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {hand.quote.lines.map((line) => (
          <BandRow key={line.band} {...{ line, figures, hand, beside, inside }} />
        ))}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">{t('count.all')}</th>
          <td>{number(figures.words)}</td>
          <td className="quiet">{number(figures.segments)}</td>
          <td aria-hidden="true" />
          <td>{number(Number(hand.quote.weighted_words))}</td>
          {inside && <td>{number(figures.words)}</td>}
          {beside && <td>{signed(figures.words - beside.figures.words)}</td>}
        </tr>
      </tfoot>
    </table>
  )
}

function BandRow({ line, figures, hand, beside, inside }: Props & { line: QuoteLine }) {
  const { t } = useTranslation()
  const band: Band = line.band
  return (
    <tr>
      <th scope="row" title={t(`bandSentences.${band}`)}>
        <span className="swatch" style={{ background: bandInk(band) }} />
        {t(`bandNames.${band}`)}
      </th>
      <td>{number(line.words)}</td>
      <td className="quiet">{number(figures.bands[band].segments)}</td>
      <td>
        <AmountInPlace
          label={t('count.weightOf', { band: t(`bandNames.${band}`) })}
          shown={percentOf(line.weight)}
          value={percentOf(line.weight)}
          onChange={(value) => hand.setWeight(band, value)}
          width={70}
        />
      </td>
      <td>{number(Number(line.weighted))}</td>
      {inside && <td>{number(figures.inside[band].words)}</td>}
      {beside && <td className="quiet">{signed(beside.comparison.differences[band])}</td>}
    </tr>
  )
}

// How many words likeness inside the files would move out of the new ones, and into which bands.
export function InsideLine({
  figures,
  shown,
  show,
}: {
  figures: ReportFigures
  shown: boolean
  show: (on: boolean) => void
}) {
  const { t } = useTranslation()
  const gained = BANDS.map(
    (band) => [band, wordsOf(figures.inside, band) - wordsOf(figures.bands, band)] as const,
  )
  const into = gained.filter(([band, words]) => words > 0 && band !== 'new')
  if (!into.length) return <p className="small quiet">{t('count.insideNone')}</p>
  const list = into.map(([band, words]) => `${number(words)} → ${t(`bandNames.${band}`)}`).join(', ')
  return (
    <p className="small quiet">
      {t('count.inside', { list })}{' '}
      <button type="button" className="plain-link" aria-pressed={shown} onClick={() => show(!shown)}>
        {t(shown ? 'count.insideHide' : 'count.insideShow')}
      </button>
    </p>
  )
}

// A pair at rest: both texts with the ribbon between them, whose width and ink say how sure it is.
import { useTranslation } from 'react-i18next'
import { direction } from '../shared/languages'
import type { AlignmentPage, Bead, Side } from './queries'
import type { Aligning } from './useAligning'

export interface BeadProps {
  bead: Bead
  place: number
  page: AlignmentPage
  aligning: Aligning
}

export function BeadRow({ bead, place, page, aligning }: BeadProps) {
  const { t } = useTranslation()
  return (
    <button type="button" className={`bead ${bead.state ?? 'open'}`} onClick={() => aligning.open(place)}>
      <span className="hidden-text">{t('align.open', { number: place + 1 })}</span>
      <Texts {...{ bead, page }} side="source" />
      <Ribbon bead={bead} />
      <Texts {...{ bead, page }} side="target" />
    </button>
  )
}

function Texts({ bead, page, side }: { bead: Bead; page: AlignmentPage; side: Side }) {
  const { t } = useTranslation()
  const lang = page.alignment[`${side}_lang`]
  return (
    <span className={`side ${side}`} lang={lang} dir={direction(lang)}>
      {bead[side].map((item, index) => (
        <span key={index} className="item">
          {item.text}
        </span>
      ))}
      {bead[side].length === 0 && <i className="quiet">{t('align.opposite')}</i>}
      {side === 'target' && bead.note && <span className="small quiet">{bead.note}</span>}
    </span>
  )
}

const WIDEST = 14
const THINNEST = 2
const MARKS = { confirmed: '●', left: '✕', open: '○' } as const

export function Ribbon({ bead }: { bead: Bead }) {
  const { t } = useTranslation()
  const { probability, state, set } = bead
  const sure = set || state === 'confirmed' ? 1 : (probability ?? 0)
  const ink = Math.min(Math.max(Math.ceil(sure * 5), 1), 5)
  const look = { width: THINNEST + (WIDEST - THINNEST) * sure, background: `var(--ink${ink})` }
  const said = probability === null ? t('align.byHand') : probability.toFixed(2)
  return (
    <span className="ribbon">
      <span className="small tab" aria-label={t('align.probability', { text: said })}>
        {said}
      </span>
      <span className="seam">
        <span style={look} />
      </span>
      <span className="mark" title={t(`align.${state ?? 'open'}State`)}>
        <span aria-hidden="true">{MARKS[state ?? 'open']}</span>
        <span className="hidden-text">{t(`align.${state ?? 'open'}State`)}</span>
      </span>
    </span>
  )
}

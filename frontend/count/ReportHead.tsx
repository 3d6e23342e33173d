// What a count says in a sentence; when and against what it was made; the one beside it; counting again;
// taking it out.
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import type { Report, ReportLine } from '../shared/types'
import { exportAddress } from './queries'
import { Against } from './Against'
import { EarlierCounts } from './EarlierCounts'
import { useReportNames } from './useReportNames'
import type { RatesInHand } from './useRates'

const FORMS = ['xlsx', 'csv', 'xml']

interface Props {
  report: Report
  hand: RatesInHand
  others: ReportLine[]
  beside: number | null
  lay: (id: number | null) => void
  acts: ReactNode
  // The counts of the same project, opened by their number.
  own: ReportLine[]
  open: (id: number) => void
  // Counts anew against these memories, where that can be.
  recount?: (memories: number[]) => void
}

export function ReportHead({ report, hand, others, beside, lay, acts, own, open, recount }: Props) {
  const { t } = useTranslation()
  const weighted = Math.round(Number(hand.quote.weighted_words))
  return (
    <header className="report-head">
      <h1>
        {t('count.sentence', {
          count: report.figures!.words,
          words: number(report.figures!.words),
          weighted: number(weighted),
        })}
      </h1>
      <p className="quiet">
        {t('count.countedOn')} <EarlierCounts report={report} own={own} open={open} /> {t('count.againstLow')}{' '}
        <Against report={report} recount={recount} /> · <BesideMenu {...{ report, others, beside, lay }} />
      </p>
      <p className="quiet presses">
        {acts}
        <TakeOut {...{ report, beside }} />
      </p>
      {report.outdated && <p className="outdated">{t('count.outdated')}</p>}
    </header>
  )
}

function BesideMenu({ report, others, beside, lay }: Pick<Props, 'report' | 'others' | 'beside' | 'lay'>) {
  const { t } = useTranslation()
  const { named } = useReportNames()
  const choices = others
    .filter((line) => line.id !== report.id)
    .toSorted((one, other) => Number(other.name === report.name) - Number(one.name === report.name))
  const shown = choices.find((line) => line.id === beside)
  if (!choices.length) return <span>{t('count.nothingBeside')}</span>
  return (
    <MenuInPlace
      title={t('count.besideTitle')}
      label={shown ? t('count.besideIt', { name: named(shown, report.name) }) : t('count.layBeside')}
      value={String(beside ?? '')}
      options={[
        ...choices.map((line) => ({ value: String(line.id), label: named(line, report.name) })),
        ...(shown ? [{ value: '', label: t('count.nothing') }] : []),
      ]}
      onChange={(value) => lay(value ? Number(value) : null)}
    />
  )
}

function TakeOut({ report, beside }: Pick<Props, 'report' | 'beside'>) {
  const { t } = useTranslation()
  return (
    <span className="presses">
      {t('count.takeOut')}{' '}
      {FORMS.map((form) => (
        <a className="plain-link" key={form} href={exportAddress(report.id, form, beside)} download>
          {form.toUpperCase()}
        </a>
      ))}
      <button type="button" className="plain-link" onClick={() => window.print()}>
        {t('quote.print')}
      </button>
    </span>
  )
}

// A count and the quote made of it: bars, bands and files at the left, the quote at the right.
import { useState, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { BandBar } from '../shared/parts/BandBar'
import { useSettings } from '../shared/settings'
import type { Report, ReportLine } from '../shared/types'
import { BandTable, InsideLine } from './BandTable'
import { Files } from './Files'
import { QuoteCard } from './QuoteCard'
import { QuoteLines } from './QuoteLines'
import { ReportHead } from './ReportHead'
import { useReportNames } from './useReportNames'
import { useRates } from './useRates'
import './count.css'

interface Props {
  report: Report
  others: ReportLine[]
  lay: (id: number | null) => void
  due: string | null
  acts: ReactNode
  // What else there is to say of the project.
  below?: ReactNode
  own?: ReportLine[]
  open?: (id: number) => void
  recount?: (memories: number[]) => void
}

const NONE: ReportLine[] = []
const nowhere = () => undefined

export function ReportView({ report, due, below, own = NONE, open = nowhere, ...rest }: Props) {
  const { user } = useSettings()
  const hand = useRates(report, user.words_per_hour)
  const [inside, setInside] = useState(false)
  const figures = report.figures!
  const { beside } = report
  return (
    <div className="count">
      <section className="report">
        <ReportHead {...{ report, hand, own, open, ...rest }} beside={beside?.report.id ?? null} />
        <Bars report={report} />
        <BandTable {...{ figures, hand, beside, inside }} />
        <InsideLine figures={figures} shown={inside} show={setInside} />
        <Files files={figures.files} beside={beside} />
        {below}
      </section>
      <aside>
        <QuoteCard {...{ report, hand, due }} working={user.working} />
        <QuoteLines report={report} />
      </aside>
    </div>
  )
}

// One bar above the other, each with what it was counted against.
function Bars({ report }: { report: Report }) {
  const { t } = useTranslation()
  const { against } = useReportNames()
  const { beside } = report
  return (
    <div className="bars">
      <BandBar files={[report.figures!.groups]} thick />
      <span className="small quiet">{against(report.memories.map((memory) => memory.name))}</span>
      {beside && (
        <>
          <BandBar files={[beside.figures.groups]} thick />
          <span className="small quiet">
            {beside.report.name === report.name
              ? against(beside.report.against)
              : t('count.ofOther', { name: beside.report.name, against: against(beside.report.against) })}
          </span>
        </>
      )}
    </div>
  )
}

// A count that is under way, could not be made, or was not made yet.
import { Progress } from 'antd'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import type { Report } from '../shared/types'
import './count.css'

export function Counting({ report, children }: { report?: Report; children?: ReactNode }) {
  const { t } = useTranslation()
  return (
    <div className="counting" role="status">
      {report?.state === 'failed' && <p className="alarm">{report.message}</p>}
      {report?.state === 'counting' && (
        <>
          <h1>{t('count.underWay')}</h1>
          <Progress
            percent={report.total ? Math.round((100 * report.done) / report.total) : 0}
            aria-label={t('count.underWay')}
          />
        </>
      )}
      {!report && (
        <>
          <h1>{t('count.none')}</h1>
          <p className="quiet">{t('count.noneLead')}</p>
        </>
      )}
      <p>{report?.state !== 'counting' && children}</p>
    </div>
  )
}

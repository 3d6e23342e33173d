// How far a run of the checks over a long text has come; what has to be said besides.
import { useCallback, useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { finished } from '../../operations/follow'
import { OperationProgress } from '../../operations/OperationProgress'
import { useOperation } from '../../operations/queries'
import { useAct } from '../../shared/useAct'
import { checkAll, useRefreshFindings, type Findings } from '../queries'

export function CheckProgress({ project, found }: { project: number; found: Findings }) {
  const { t } = useTranslation()
  const { act } = useAct()
  const refresh = useRefreshFindings(project)
  const { left, run, given_up: slow } = found
  const now = useOperation(run?.id ?? null).data ?? run
  const begun = useRef(false)
  const goOn = useCallback(async () => {
    const begin = await checkAll(project)
    void refresh()
    await finished(begin).finally(refresh)
  }, [project, refresh])
  // What is left is checked as soon as the page is opened; once cancelled it waits for the user.
  useEffect(() => {
    if (left === 0 || begun.current) return
    begun.current = true
    void goOn().catch(() => undefined)
  }, [goOn, left])
  return (
    <>
      {slow.map((name) => (
        <p key={name} className="fault" role="alert">
          {t('check.tooSlow', { name })}
        </p>
      ))}
      {left > 0 && now && run && (
        <div className="check-progress">
          <span className="small quiet">{t('check.left', { count: left })}</span>
          <OperationProgress operation={now} bare onCancelled={refresh} />
        </div>
      )}
      {left > 0 && !run && (
        <p className="small quiet">
          {t('check.left', { count: left })}{' '}
          <button type="button" className="link small" onClick={() => void act(goOn)}>
            {t('check.goOn')}
          </button>
        </p>
      )}
    </>
  )
}

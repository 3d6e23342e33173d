// How far a run of the checks over a long text has come; what has to be said besides.
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { OperationProgress } from '../../operations/OperationProgress'
import { useOperation } from '../../operations/queries'
import { useAct } from '../../shared/useAct'
import { checkAll, useRefreshFindings, type Findings } from '../queries'

export function Looking({ project, found }: { project: number; found: Findings }) {
  const { t } = useTranslation()
  const { act } = useAct()
  const refresh = useRefreshFindings(project)
  const { left, run, given_up: slow } = found
  const now = useOperation(run?.id ?? null).data ?? run
  // What is left is checked as soon as the page is opened; once cancelled it waits for the user.
  useEffect(() => {
    void checkAll(project).catch(() => undefined)
  }, [project])
  const goOn = () =>
    void act(async () => {
      await checkAll(project)
      await refresh()
    })
  return (
    <>
      {slow.map((name) => (
        <p key={name} className="fault" role="alert">
          {t('check.tooSlow', { name })}
        </p>
      ))}
      {left > 0 && now && run && (
        <div className="looking">
          <span className="small quiet">{t('check.left', { count: left })}</span>
          <OperationProgress operation={now} bare onCancelled={refresh} />
        </div>
      )}
      {left > 0 && !run && (
        <p className="small quiet">
          {t('check.left', { count: left })}{' '}
          <button type="button" className="link small" onClick={goOn}>
            {t('check.goOn')}
          </button>
        </p>
      )}
    </>
  )
}

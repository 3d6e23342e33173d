// How far the look at a long text has come, with a way to stop it; what has to be said besides.
import { Progress } from 'antd'
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { useAct } from '../../shared/useAct'
import { lookAtAll, stopLooking, useRefreshFindings, type Findings } from '../queries'

const HUNDRED = 100

export function Looking({ project, found }: { project: number; found: Findings }) {
  const { t } = useTranslation()
  const { act } = useAct()
  const refresh = useRefreshFindings(project)
  const { left, run, given_up: slow } = found
  // What is left is looked at as soon as the page is opened; once stopped it waits for her.
  useEffect(() => {
    void lookAtAll(project)
  }, [project])
  const change = (work: Promise<unknown>) =>
    void act(async () => {
      await work
      await refresh()
    })
  return (
    <>
      {slow.map((name) => (
        <p key={name} className="fault" role="alert">
          {t('check.tooSlow', { name })}
        </p>
      ))}
      {left > 0 && run && (
        <div className="looking">
          <Progress
            percent={run.total ? Math.round((HUNDRED * run.done) / run.total) : 0}
            size="small"
            aria-label={t('check.looking')}
          />
          <span className="small quiet">{t('check.left', { count: left })}</span>
          <button type="button" className="link small" onClick={() => change(stopLooking(project))}>
            {t('check.stop')}
          </button>
        </div>
      )}
      {left > 0 && !run && (
        <p className="small quiet">
          {t('check.left', { count: left })}{' '}
          <button type="button" className="link small" onClick={() => change(lookAtAll(project))}>
            {t('check.goOn')}
          </button>
        </p>
      )}
    </>
  )
}

// What the owner of a project does with a pass: closes it, lets it go on, says what a colleague may do.
import { App } from 'antd'
import { useTranslation } from 'react-i18next'
import type { Right } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { changeRound, closeRound, useRefreshRounds } from '../queries'

export function useActing(project: number, round: number) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const { act } = useAct()
  const refresh = useRefreshRounds(project)
  const then = (work: () => Promise<unknown>) =>
    void act(async () => {
      await work()
      await refresh()
    })
  return {
    invite: (may: Right) => then(() => changeRound(round, { may })),
    withdraw: () => then(() => changeRound(round, { may: null })),
    resume: () => then(() => changeRound(round, { resume: true })),
    close: () =>
      then(async () => {
        const { reviewed } = await closeRound(round)
        void message.success(t('review.reviewed', { count: reviewed }))
      }),
  }
}

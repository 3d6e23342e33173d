// Changes decided, all taken back, a round closed.
import { App } from 'antd'
import { useTranslation } from 'react-i18next'
import { finished } from '../operations/follow'
import { undoOperation } from '../operations/queries'
import type { Decision, ReviewChange } from '../shared/types'
import { useAct } from '../shared/useAct'
import { useOffer } from '../shared/useOffer'
import { closeRound, decide, reopenRound, useRefreshRounds } from './queries'

export function useDeciding(project: number, round: number) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const { act } = useAct()
  const offer = useOffer('review')
  const refresh = useRefreshRounds(project)
  const then = (work: () => Promise<unknown>) =>
    void act(async () => {
      await work()
      await refresh()
    })
  const ids = (changes: ReviewChange[]) => changes.map(({ id }) => id)
  return {
    decide: (changes: ReviewChange[], decision: Decision, mended = false) =>
      then(async () => {
        const made = await finished(await decide(round, ids(changes), decision, mended))
        if (decision === 'open') return
        const undo = () => then(async () => finished(await undoOperation(made.id)))
        offer(t(`review.said.${decision}`, { count: changes.length }), t('app.undo'), undo)
      }),
    reopen: () => then(async () => finished(await reopenRound(round))),
    close: () =>
      then(async () => {
        const { reviewed } = await closeRound(round)
        void message.success(t('review.reviewed', { count: reviewed }))
      }),
  }
}

export type Deciding = ReturnType<typeof useDeciding>

// What can be done about findings: fixes put in, findings let stand, and back, each with a way back.
import { useTranslation } from 'react-i18next'
import { useAct } from '../shared/useAct'
import { useOffer } from '../shared/useOffer'
import { letStand, putRight, standNoMore, takeBackFixes, useRefreshFindings, type Finding } from './queries'

export function useMending(project: number) {
  const { t } = useTranslation()
  const { act } = useAct()
  const offer = useOffer('finding')
  const refresh = useRefreshFindings(project)
  const then = (work: () => Promise<unknown>) =>
    void act(async () => {
      await work()
      await refresh()
    })
  const stand = (finding: Finding, all: boolean) =>
    then(async () => {
      const { id } = await letStand(project, { key: finding.key, all, reason: '' })
      if (all) return offer(t('check.allStand'), t('app.undo'), () => then(() => standNoMore(id)))
      const allAlike = () =>
        then(async () => {
          await standNoMore(id)
          stand(finding, true)
        })
      offer(t('check.oneStands'), t('check.allAlike'), allAlike)
    })
  return {
    putRight: (findings: Finding[]) =>
      then(async () => {
        const wanted = findings.map(({ key }) => key)
        const made = await putRight(project, wanted)
        const undo = () => then(() => takeBackFixes(project, made.act))
        offer(t('check.fixed', { count: made.changed }), t('app.undo'), undo)
      }),
    letStand: (finding: Finding) => stand(finding, false),
    standNoMore: (finding: Finding) => then(() => standNoMore(finding.stands!.id)),
  }
}

export type Mending = ReturnType<typeof useMending>

// What can be done about findings: fixes put in, one wording for two, findings let stand, and back, each with a
// way back.
import { useTranslation } from 'react-i18next'
import { finished } from '../../operations/follow'
import { undoOperation } from '../../operations/queries'
import type { Operation } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { useOffer } from '../../shared/useOffer'
import {
  letStand,
  putRight,
  standNoMore,
  unify,
  useRefreshFindings,
  type Finding,
  type StandPlace,
  type Unify,
} from '../queries'

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
  const written = async (begun: Operation) => {
    const made = await finished(begun)
    offer(t('check.fixed', { count: made.result.count ?? 0 }), t('operations.undo'), () =>
      then(async () => finished(await undoOperation(made.id))),
    )
  }
  return {
    putRight: (findings: Finding[]) =>
      then(async () =>
        written(
          await putRight(
            project,
            findings.map(({ key }) => key),
          ),
        ),
      ),
    unify: (finding: Finding, way: Unify) =>
      then(async () => written(await unify(project, finding.key, way))),
    letStand: (finding: Finding, place: StandPlace, reason: string) =>
      then(async () => {
        const { id } = await letStand(project, { key: finding.key, place, reason })
        offer(t(`check.stood.${place}`), t('app.undo'), () => then(() => standNoMore(id)))
      }),
    standNoMore: (finding: Finding) => then(() => standNoMore(finding.stands!.id)),
  }
}

export type Mending = ReturnType<typeof useMending>

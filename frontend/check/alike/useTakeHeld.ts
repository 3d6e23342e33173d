// What a memory holds put into a segment, with a way back.
import { useTranslation } from 'react-i18next'
import { useAct } from '../../shared/useAct'
import { useOffer } from '../../shared/useOffer'
import { finished } from '../../operations/follow'
import { undoOperation } from '../../operations/queries'
import { takeHeld, type Rival } from './queries'

export function useTakeHeld(project: number, onChanged: () => void) {
  const { t } = useTranslation()
  const { act } = useAct()
  const offer = useOffer('held')
  const then = (work: () => Promise<unknown>) =>
    void act(async () => {
      await work()
      onChanged()
    })
  return (rival: Rival) =>
    then(async () => {
      const made = await finished(await takeHeld(project, rival))
      const undo = () => then(async () => finished(await undoOperation(made.id)))
      offer(t('check.fixed', { count: made.result.count ?? 0 }), t('operations.undo'), undo)
    })
}

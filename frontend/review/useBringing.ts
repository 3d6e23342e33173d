// A sheet that came back, taken in.
import { useAct } from '../shared/useAct'
import { bringBack, useRefreshRounds, type Strange } from './queries'

export function useBringing(project: number, onBack: (id: number, strange: Strange) => void) {
  const { act } = useAct()
  const refresh = useRefreshRounds(project)
  return (files: File[]) =>
    void act(async () => {
      const { round, strange } = await bringBack(project, files[0])
      await refresh()
      onBack(round.id, strange)
    })
}

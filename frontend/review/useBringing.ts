// A returned review sheet, imported.
import { useAct } from '../shared/useAct'
import { finished } from '../operations/follow'
import { bringBack, useRefreshRounds } from './queries'

export function useBringing(project: number, onBack: (id: number) => void) {
  const { act } = useAct()
  const refresh = useRefreshRounds(project)
  return (files: File[]) =>
    void act(async () => {
      const { result } = await finished(await bringBack(project, files[0]))
      await refresh()
      onBack(result.round_id!)
    })
}

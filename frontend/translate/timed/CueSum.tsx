// Over the column: how long the cues are shown, and how many are over a limit as they are written now.
import { useContext, useMemo, useSyncExternalStore, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import type { Store } from '../store'
import { whole } from './clock'
import { metersOf } from './meters'
import { TimedContext } from './useTimed'

// count: of the segments that are shown; otherwise: what stands there where they are no cues.
export function CueSum({ store, count, otherwise }: { store: Store; count: number; otherwise: ReactNode }) {
  const { t } = useTranslation()
  const timed = useContext(TimedContext)
  // It changes where a state does, not at each key.
  const inked = useSyncExternalStore(store.subscribe, () => store.inked)
  const over = useMemo(() => {
    const cues = timed?.page.cues ?? []
    return cues.filter((cue, index) => {
      const segment = store.byId.get(cue.segment_id)
      if (!segment?.target) return false
      const text = plain(segment.target, segment.codes)
      return metersOf(text, cue, cues[index + 1]?.start ?? null, timed!.page.limits).over.length > 0
    }).length
    // oxlint-disable-next-line react/exhaustive-deps
  }, [inked, store, timed])
  if (!timed) return otherwise
  const last = timed.page.cues.at(-1)
  return (
    <span className="tab">
      · {t('timed.count', { count })} · {last && whole(last.finish ?? last.start)} ·{' '}
      {t('timed.overLimit', { count: over })}
    </span>
  )
}

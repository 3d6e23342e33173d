// On the film: the translation of the cue that is shown now, as far as it is written; else its source, receding.
import { useTranslation } from 'react-i18next'
import { direction } from '../../shared/languages'
import { toHtml } from '../../shared/preview'
import { useProject } from '../../shared/useProject'
import type { Segment } from '../../shared/types'
import type { Store } from '../store'
import { useFilmTime } from './useFilmTime'
import { cueAt, type Timed } from './useTimed'

interface Props {
  timed: Timed
  store: Store
  open: Segment | null
  onOpen: (id: number) => void
}

export function Subtitle({ timed, store, open, onOpen }: Props) {
  const { t } = useTranslation()
  const project = useProject(store.project).data
  const time = useFilmTime(timed.player)
  const cue = cueAt(timed.page.cues, time)
  const segment = cue && store.byId.get(cue.segment_id)
  if (!segment) return null
  const lang = (segment.target ? project?.target_lang : project?.source_lang) ?? undefined
  return (
    <button
      type="button"
      className={`subtitle ${cue.place ?? ''}${segment.target ? '' : ' receding'}`}
      aria-label={t('timed.openShown', { number: segment.position })}
      aria-current={segment.id === open?.id}
      onClick={() => onOpen(segment.id)}
    >
      <span
        lang={lang}
        dir={direction(lang)}
        dangerouslySetInnerHTML={{ __html: toHtml(segment.target || segment.source, segment.codes) }}
      />
    </button>
  )
}

// A segment at rest: what is done shows its translation, the source receding; what is not shows its source.
import { memo } from 'react'
import { useTranslation } from 'react-i18next'
import { direction } from '../shared/languages'
import { originText } from '../shared/origin'
import { Moon } from '../shared/parts/Moon'
import type { Project, Segment } from '../shared/types'
import { Written } from '../shared/Written'
import { FoundMark } from './FoundMark'
import { Here } from './Here'
import { useNoted } from './noted'
import { Place } from './Place'
import { CueStart } from './timed/CueStart'

interface Props {
  segment: Segment
  project: Project
  index: number
  begins: boolean
  // The name of the file that begins here, where there are several.
  file?: string | null
  onOpen: (index: number) => void
}

export const Pair = memo(function Pair({ segment, project, index, begins, file, onOpen }: Props) {
  const { t } = useTranslation()
  return (
    <button
      type="button"
      className={`pair block-${segment.block}${begins ? ' begins' : ''}${segment.locked ? ' locked' : ''}`}
      disabled={segment.locked}
      onClick={() => onOpen(index)}
    >
      <span className="gutter">
        <span>{segment.position}</span>
        <Moon state={segment.state} />
        <FoundMark segment={segment.id} />
      </span>
      <span className="words">
        {file && <span className="file-begins">{file}</span>}
        <Here segment={segment} />
        <Place segment={segment} />
        <CueStart segment={segment.id} />
        <Noted segment={segment} />
        {segment.locked && <span className="noted">{t('translate.locked')}</span>}
        <span
          className={`source${segment.target ? ' receding' : ''}`}
          lang={project.source_lang ?? undefined}
          dir={direction(project.source_lang)}
        >
          <Written value={segment.source} codes={segment.codes} />
        </span>
        {segment.target && (
          <span
            className="target"
            lang={project.target_lang ?? undefined}
            dir={direction(project.target_lang)}
          >
            <Written value={segment.target} codes={segment.codes} />
            <Remarks segment={segment} />
          </span>
        )}
      </span>
    </button>
  )
})

function Remarks({ segment }: { segment: Segment }) {
  const { t } = useTranslation()
  const remarks = [
    segment.origin.kind === 'repeated' ? originText(segment.origin, t) : '',
    segment.marked ? t('translate.cameBack') : '',
  ].filter(Boolean)
  return remarks.length > 0 && <span className="repeat-mark"> {remarks.join(' · ')}</span>
}

// That there is a note on it, in a word.
function Noted({ segment }: { segment: Segment }) {
  const { t } = useTranslation()
  const kind = useNoted(segment.id)
  return kind && <span className="noted">{t(kind === 'question' ? 'notes.asked' : 'notes.has')}</span>
}

// A segment of a pair: its source and target with what differs marked; a press opens it to be written in.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { direction } from '../../shared/languages'
import { Moon } from '../../shared/parts/Moon'
import type { Project } from '../../shared/types'
import { EditHere } from '../list/EditHere'
import type { Span } from '../queries'
import { Spots } from '../Spots'
import type { TwinSide } from './queries'

interface Props {
  side: TwinSide
  project: Project
  source: Span[]
  target: Span[]
  onChanged: () => void
}

export function Side({ side, project, source, target, onChanged }: Props) {
  const { t } = useTranslation()
  const [writing, setWriting] = useState(false)
  if (writing)
    return (
      <EditHere
        project={project}
        segment={side.segment_id}
        onClose={() => {
          setWriting(false)
          onChanged()
        }}
      />
    )
  const { source_lang: from, target_lang: into } = project
  return (
    <button
      type="button"
      className="finding side"
      aria-label={t('check.writeIn', { number: side.number })}
      onClick={() => setWriting(true)}
    >
      <span className="gutter">
        {side.number} <Moon state={side.state} />
      </span>
      <span className="source" lang={from ?? undefined} dir={direction(from)}>
        <Spots text={side.source} spans={source} />
      </span>
      <span className="target" lang={into ?? undefined} dir={direction(into)}>
        <Spots text={side.target} spans={target} />
      </span>
    </button>
  )
}

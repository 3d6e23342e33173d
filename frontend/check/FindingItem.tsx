// One finding: source and target with the spots marked, what is wrong in a sentence, the fix, and how to let it
// stand. A press on the text goes there.
import type { KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { KEYS } from '../shared/keys'
import { direction } from '../shared/languages'
import { Key } from '../shared/parts/Key'
import { Moon } from '../shared/parts/Moon'
import type { Project } from '../shared/types'
import type { Finding } from './queries'
import { Spotted } from './Spotted'
import type { Mending } from './useMending'

interface Props {
  finding: Finding
  project: Project
  mending: Mending
  first: boolean
  onKeyDown: (event: KeyboardEvent) => void
}

export function FindingItem({ finding, project, mending, first, onKeyDown }: Props) {
  const { t } = useTranslation()
  const { source_lang: from, target_lang: into } = project
  return (
    <li className={finding.level}>
      <span className="gutter">
        <span>{finding.number}</span>
        <Moon state={finding.state} />
      </span>
      <div>
        <Link
          className="plain"
          to={`/projects/${project.id}/translate#${finding.segment_id}`}
          tabIndex={first ? 0 : -1}
          onKeyDown={onKeyDown}
        >
          <span className="source" lang={from ?? undefined} dir={direction(from)}>
            <Spotted text={finding.source_text} spans={finding.source} />
          </span>
          <span className="target" lang={into ?? undefined} dir={direction(into)}>
            <Spotted text={finding.target_text} spans={finding.target} />
          </span>
          <span className="message">
            <span className="hidden-text">{t(`check.levels.${finding.level}`)}: </span>
            {finding.message}
          </span>
        </Link>
        {finding.stands && (
          <p className="small quiet">
            {[t('check.stands', { author: finding.stands.author }), finding.stands.reason]
              .filter(Boolean)
              .join(': ')}
          </p>
        )}
      </div>
      <Acts {...{ finding, mending }} />
    </li>
  )
}

function Acts({ finding, mending }: Pick<Props, 'finding' | 'mending'>) {
  const { t } = useTranslation()
  if (finding.stands)
    return (
      <p className="acts">
        <button type="button" className="link" onClick={() => mending.standNoMore(finding)}>
          {t('check.again')}
        </button>
      </p>
    )
  return (
    <p className="acts">
      {finding.fix && (
        <button type="button" className="fix" onClick={() => mending.putRight([finding])}>
          {t('check.putRight')} <Key keys={KEYS.fix} />
        </button>
      )}
      <button type="button" onClick={() => mending.letStand(finding)}>
        {t('check.letStand')} <Key keys={KEYS.letStand} />
      </button>
    </p>
  )
}

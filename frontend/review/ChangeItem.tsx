// A change: the source, the translation with what is gone and new, by whom; taken, left, or to be decided.
import type { KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { fullDate, time } from '../shared/i18n'
import { direction } from '../shared/languages'
import { Differing } from '../shared/parts/Differing'
import { KindOf } from '../shared/parts/KindOf'
import { Moon } from '../shared/parts/Moon'
import type { Project, ReviewChange } from '../shared/types'
import { Written } from '../shared/Written'
import { Decide } from './Decide'
import type { Deciding } from './useDeciding'

interface Props {
  change: ReviewChange
  project: Project
  deciding: Deciding
  first: boolean
  onKeyDown: (event: KeyboardEvent) => void
}

export function ChangeItem({ change, project, deciding, first, onKeyDown }: Props) {
  const { t } = useTranslation()
  const { source_lang: from, target_lang: into } = project
  const made = change.made_at ? `${fullDate(change.made_at)}, ${time(change.made_at)}` : ''
  return (
    <li className={change.decision}>
      <Link
        className="gutter plain"
        to={`/projects/${project.id}/translate#${change.segment_id}`}
        tabIndex={-1}
        aria-label={t('check.toText', { number: change.number })}
      >
        <span>{change.number}</span>
        <Moon state={change.state} />
      </Link>
      <div className="change" role="group" aria-label={t('review.change', { number: change.number })}>
        <p className="source" lang={from ?? undefined} dir={direction(from)}>
          <Written value={change.source} codes={change.codes} />
        </p>
        <p className="target" lang={into ?? undefined} dir={direction(into)}>
          <Differing text={change.after_text} differences={change.differences} />
        </p>
        <p className="small quiet">{[change.author, made].filter(Boolean).join(', ')}</p>
        {change.remarks.map((remark, index) => (
          <p key={index} className="small said">
            <KindOf remark={remark} /> <em>{remark.text}</em>
          </p>
        ))}
        {change.conflict && (
          <p className="small">
            {t('review.conflict')} <span className="reading">{change.now}</span>
          </p>
        )}
        {change.refused && change.decision === 'open' && (
          <p className="small refused">
            {t('review.refused', { reason: change.refused })}{' '}
            {change.mended && (
              <button type="button" className="link" onClick={() => deciding.decide([change], 'taken', true)}>
                {t('review.takeMended')}
              </button>
            )}
          </p>
        )}
      </div>
      <Decide {...{ change, deciding, first, onKeyDown }} />
    </li>
  )
}

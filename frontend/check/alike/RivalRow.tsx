// A segment, and what a memory holds for its source instead.
import { useTranslation } from 'react-i18next'
import { fullDate } from '../../shared/i18n'
import { direction } from '../../shared/languages'
import type { Project } from '../../shared/types'
import type { Rival } from './queries'
import { Side } from './Side'
import { useTakeHeld } from './useTakeHeld'

interface Props {
  rival: Rival
  project: Project
  onChanged: () => void
}

export function RivalRow({ rival, project, onChanged }: Props) {
  const { t } = useTranslation()
  const into = project.target_lang
  const date = fullDate(rival.updated_at)
  const take = useTakeHeld(project.id, onChanged)
  return (
    <li>
      <span />
      <Side side={rival} source={[]} target={[]} {...{ project, onChanged }} />
      <span className="finding">
        <span className="small quiet">
          {t('check.heldBy', { memory: rival.memory, author: rival.author ?? '–', date })}
        </span>
        <span className="target" lang={into ?? undefined} dir={direction(into)}>
          {rival.held}
        </span>
        <button type="button" className="link small" onClick={() => take(rival)}>
          {t('check.useHeld')}
        </button>
      </span>
    </li>
  )
}

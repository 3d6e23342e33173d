// How far what the machine gave was changed in a project, in a sentence.
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { usePostEditing } from './queries'

export function PostEdited({ project }: { project: number }) {
  const { t } = useTranslation()
  const sum = usePostEditing(project).data
  if (!sum?.segments) return null
  return (
    <p className="small quiet">
      {t('count.postEditing', {
        segments: number(sum.segments),
        words: number(sum.words),
        asGiven: number(sum.as_given),
        changed: number(sum.changed),
      })}
    </p>
  )
}

// That the checks found something in a segment at rest.
import { useTranslation } from 'react-i18next'
import { useMark } from './marks'

export function FoundMark({ segment }: { segment: number }) {
  const { t } = useTranslation()
  const mark = useMark(segment)
  if (!mark) return null
  const words = t(`check.levels.${mark}`)
  return (
    <span className={`found-mark ${mark}`} title={words}>
      <span aria-hidden="true">◂</span>
      <span className="hidden-text">{words}</span>
    </span>
  )
}

// Kind and severity of the error that a remark is about; what came without them is a note.
import { useTranslation } from 'react-i18next'
import type { Note } from '../types'

export function KindOf({ remark }: { remark: Pick<Note, 'error_type' | 'severity'> }) {
  const { t } = useTranslation()
  const { error_type: type, severity } = remark
  if (!type || !severity) return null
  return (
    <b className={`kind-of ${severity}`}>
      {t(`errorTypes.${type.split('/').at(-1)}`)}, {t(`severities.${severity}`)}
    </b>
  )
}

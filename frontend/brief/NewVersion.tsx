// A newer version of a file: what taking it in would do, in words, before anything happens.
import { Button } from 'antd'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { number } from '../shared/i18n'
import { finished } from '../operations/follow'
import type { DocumentRow, Operation } from '../shared/types'
import type { Attempt } from './useChanges'

export function sendVersion(document: number, file: File): Promise<unknown> {
  const form = new FormData()
  form.append('files[]', file)
  return api.post(`/documents/${document}/version`, form)
}

export const versionReport = (document: number) => `/api/documents/${document}/version`

export function NewVersion({ row, attempt }: { row: DocumentRow; attempt: Attempt }) {
  const { t } = useTranslation()
  const leave = (
    <button
      type="button"
      className="link"
      onClick={() => attempt(() => api.delete(`/documents/${row.id}/version`))}
    >
      {t('version.leave')}
    </button>
  )
  if (row.state === 'refused')
    return (
      <div className="version" role="status">
        <p className="alarm">{row.message}</p>
        {leave}
      </div>
    )
  if (!row.comparison)
    return (
      <div className="version" role="status">
        <p className="quiet">{t('version.comparing', { name: row.name })}</p>
        {leave}
      </div>
    )
  const { same, changed, new: fresh, gone, lost } = row.comparison
  const said = [
    same.segments && t('version.same', { count: same.segments, words: number(same.words) }),
    changed.segments && t('version.changed', { count: changed.segments, words: number(changed.words) }),
    fresh.segments && t('version.new', { count: fresh.segments, words: number(fresh.words) }),
    gone.segments && t('version.gone', { count: gone.segments, lost: number(lost) }),
  ].filter(Boolean)
  return (
    <div className="version" role="status">
      <p>
        <b>{row.name}</b> {t('version.would')}
      </p>
      <ul>
        {said.map((line) => (
          <li key={String(line)}>{line}</li>
        ))}
      </ul>
      <div className="acts">
        <Button
          type="primary"
          size="small"
          onClick={() =>
            attempt(async () => finished(await api.patch<Operation>(`/documents/${row.id}/version`)))
          }
        >
          {t('version.take')}
        </Button>
        {leave}
        <a className="link" href={versionReport(row.id)} download>
          {t('version.report')}
        </a>
      </div>
    </div>
  )
}

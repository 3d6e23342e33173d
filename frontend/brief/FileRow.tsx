// A file of the brief: as it is read, refused, or ready with its figures and settings.
import { App, Progress } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { number } from '../shared/i18n'
import { languageName } from '../shared/languages'
import { BandBar, MenuInPlace } from '../shared/parts'
import type { DocumentRow } from '../shared/types'
import { useCutLook } from '../shared/useCutLook'
import { NewVersion, sendVersion } from './NewVersion'
import { Options } from './Options'
import type { Attempt } from './useChanges'

// Takes a file out, and says how it comes back.
function usePutAway(attempt: Attempt) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  return async (row: DocumentRow) => {
    await api.delete(`/documents/${row.id}`)
    const key = `away-${row.id}`
    const back = () => {
      message.destroy(key)
      attempt(() => api.patch(`/documents/${row.id}`, { put_away: false }))
    }
    void message.open({
      key,
      type: 'info',
      icon: <span />,
      duration: 10,
      content: (
        <>
          {t('brief.removed', { name: row.name })}{' '}
          <button type="button" className="link" onClick={back}>
            {t('brief.bringBack')}
          </button>
        </>
      ),
    })
  }
}

export function FileRow({
  row,
  project,
  version,
  fixed,
  attempt,
}: {
  row: DocumentRow
  project: number
  version?: DocumentRow
  fixed: boolean
  attempt: Attempt
}) {
  const { t } = useTranslation()
  const [over, setOver] = useState(false)
  const putAway = usePutAway(attempt)
  const look = useCutLook(project)
  // Once the work has begun, what is translated is looked at first.
  const settle = (settings: Record<string, unknown>) =>
    attempt(async () => {
      if (fixed && !(await look({ document_id: row.id, ...settings }))) return
      await api.patch(`/documents/${row.id}`, settings)
    })
  const options = <Options row={row} onChange={(options) => settle({ options })} />
  const remove = (
    <button
      type="button"
      className="quiet"
      aria-label={`${t('brief.remove')}: ${row.name}`}
      title={t('brief.remove')}
      onClick={() => attempt(() => putAway(row))}
    >
      ✕
    </button>
  )
  const name = <div className="name">{row.name}</div>
  if (row.state === 'refused' || row.state === 'cancelled') {
    return (
      <li>
        <div style={{ gridColumn: '1 / 4' }}>
          {name}
          <p className={`small ${row.state === 'refused' ? 'alarm' : 'quiet'}`}>
            {row.state === 'refused' ? t('brief.notTaken', { message: row.message }) : row.message}{' '}
            {row.state === 'cancelled' && (
              <button
                type="button"
                className="link"
                onClick={() => attempt(() => api.post(`/documents/${row.id}/reading`))}
              >
                {t('brief.readAgain')}
              </button>
            )}
            {row.format && <> {options}</>}
          </p>
        </div>
        {remove}
      </li>
    )
  }
  if (row.state !== 'ready') {
    return (
      <li>
        <div>
          {name}
          <p className="small quiet">
            {row.total
              ? t('brief.reading', { done: number(row.done), total: number(row.total) })
              : t('brief.waiting')}
          </p>
        </div>
        <div className="wide" style={{ display: 'flex', gap: 12, alignItems: 'center' }}>
          <Progress
            percent={row.total ? Math.round((100 * row.done) / row.total) : 0}
            showInfo={false}
            size="small"
            aria-label={row.name}
          />
          <button
            type="button"
            className="link small"
            onClick={() => attempt(() => api.delete(`/documents/${row.id}/reading`))}
          >
            {t('brief.cancel')}
          </button>
        </div>
        {remove}
      </li>
    )
  }
  const how = { sentence: t('brief.bySentence'), paragraph: t('brief.byParagraph') }
  return (
    <li
      className={over ? 'over' : ''}
      onDragOver={(event) => {
        if (fixed) {
          event.preventDefault()
          setOver(true)
        }
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        setOver(false)
        const file = event.dataTransfer.files[0]
        if (fixed && file) {
          event.preventDefault()
          event.stopPropagation()
          attempt(() => sendVersion(row.id, file))
        }
      }}
    >
      <div>
        {name}
        <p className="small quiet">
          {row.format} · {row.source_lang && `${languageName(row.source_lang)} · `}
          <MenuInPlace
            label={how[row.by]}
            title={row.name}
            value={row.by}
            options={[
              { value: 'sentence', label: how.sentence },
              { value: 'paragraph', label: how.paragraph },
            ]}
            onChange={(by) => settle({ by })}
          />{' '}
          · {options}
          {' · '}
          {t('brief.segments', { count: row.facts.segments ?? 0 })}
          {row.facts.tables ? ` · ${t('brief.tables', { count: row.facts.tables })}` : ''}
          {row.facts.pictures ? ` · ${t('brief.pictures', { count: row.facts.pictures })}` : ''}
          {fixed && (
            <>
              {' · '}
              <label className="plain-link" style={{ cursor: 'pointer' }}>
                {t('version.choose')}
                <input
                  type="file"
                  className="hidden-text"
                  aria-label={`${t('version.choose')}: ${row.name}`}
                  onChange={(event) => {
                    const file = event.target.files?.[0]
                    event.target.value = ''
                    if (file) attempt(() => sendVersion(row.id, file))
                  }}
                />
              </label>
            </>
          )}
          {row.replaces_id && (
            <>
              {' · '}
              <button
                type="button"
                className="plain-link"
                onClick={() => attempt(() => api.delete(`/documents/${row.id}/version`))}
              >
                {t('version.back')}
              </button>
            </>
          )}
        </p>
      </div>
      <div className="figure tab" aria-label={`${number(row.facts.words ?? 0)} ${t('brief.words')}`}>
        {number(row.facts.words ?? 0)}
      </div>
      <BandBar bands={[row.bands]} />
      {remove}
      {version && <NewVersion row={version} attempt={attempt} />}
    </li>
  )
}

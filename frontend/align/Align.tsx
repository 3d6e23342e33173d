// Align: files are dropped, languages and counterparts found; each pair of files is opened on request.
import { App } from 'antd'
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { Frame } from '../shared/Frame'
import { number } from '../shared/i18n'
import { Failure, Waiting } from '../shared/Notices'
import { DropFiles } from '../shared/parts/DropFiles'
import { keys } from '../shared/queryKeys'
import type { Alignment } from '../shared/types'
import { useAct } from '../shared/useAct'
import { drop, removeAlignment, useAlignments } from './queries'
import './align.css'

export function Align() {
  const { t } = useTranslation()
  const { data, error, refetch } = useAlignments()
  const { onFiles, busy } = useDropping()
  return (
    <Frame>
      <div className="sheet-view align-list">
        <h1>{t('align.title')}</h1>
        <p className="quiet">{t('align.lead')}</p>
        <DropFiles onFiles={onFiles}>
          <h2>{t('align.drop')}</h2>
          <p className="plain-link">{t('align.choose')}</p>
        </DropFiles>
        {busy && <Waiting />}
        {error && <Failure error={error} again={() => void refetch()} />}
        {data?.length === 0 && <p className="quiet">{t('align.none')}</p>}
        <ul aria-label={t('align.list')}>
          {data?.map((alignment) => (
            <Line key={alignment.id} alignment={alignment} />
          ))}
        </ul>
      </div>
    </Frame>
  )
}

function useDropping() {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const onFiles = (files: File[]) =>
    void act(async () => {
      const { left } = await drop(files)
      await cache.invalidateQueries({ queryKey: keys.alignments })
      if (left.length) void message.info(t('align.unpaired', { list: left.join(', ') }))
    })
  return { onFiles, busy }
}

function Line({ alignment }: { alignment: Alignment }) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act } = useAct()
  const { id, name, state, progress, counts, source_file, target_file, source_lang, target_lang } = alignment
  const remove = () =>
    void act(async () => {
      await removeAlignment(id)
      await cache.invalidateQueries({ queryKey: keys.alignments })
    })
  return (
    <li>
      <div>
        {state === 'ready' ? <Link to={`/align/${id}`}>{name}</Link> : <b>{name}</b>}
        <p className="small quiet">
          {t('align.files', { source: source_file, target: target_file })} · {source_lang} → {target_lang}
        </p>
        {alignment.message && <p className="small alarm">{alignment.message}</p>}
      </div>
      <p className="small quiet" role="status">
        {state === 'ready'
          ? t('align.counts', {
              pairs: number(counts.pairs),
              doubtful: number(counts.doubtful),
              confirmed: number(counts.confirmed),
            })
          : t(`align.state.${state}`, { progress })}
      </p>
      <button
        type="button"
        className="quiet-link small"
        aria-label={`${t('align.remove')}: ${name}`}
        onClick={remove}
      >
        {t('align.remove')}
      </button>
    </li>
  )
}

// When the last good backup was made, those that are kept, and one made now.
import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { Frame } from '../shared/Frame'
import { fullDate, number, time } from '../shared/i18n'
import { Failure, Waiting } from '../shared/Notices'
import { keys } from '../shared/queryKeys'
import { useAct } from '../shared/useAct'
import './settings.css'

interface Kept {
  at: string
  bytes: number
  files: number
  records: number
}
interface Backups {
  folder: string
  kept: number
  failed: { at: string; message: string } | null
  backups: Kept[]
}
const OFTEN = 1500
const MEGABYTE = 1_000_000
const moment = (at: string) => `${fullDate(at)}, ${time(at)}`
const newest = (data: Backups | undefined) => data?.backups[0]?.at ?? data?.failed?.at ?? ''

export function Backups() {
  const { t } = useTranslation()
  const { act } = useAct()
  // What was the newest when one was asked for.
  const [asked, setAsked] = useState<string | null>(null)
  const { data, error, refetch } = useQuery({
    queryKey: keys.backups,
    queryFn: () => api.get<Backups>('/backup'),
    refetchOnMount: 'always',
    refetchInterval: (query) => (asked !== null && newest(query.state.data) === asked ? OFTEN : false),
  })
  if (!data)
    return <Frame>{error ? <Failure error={error} again={() => void refetch()} /> : <Waiting />}</Frame>
  const running = asked !== null && newest(data) === asked
  const make = () =>
    void act(async () => {
      await api.post('/backup', {})
      setAsked(newest(data))
      await refetch()
    })
  return (
    <Frame>
      <div className="sheet-view">
        <h1>{t('backups.title')}</h1>
        <p role="status">
          {data.backups[0] ? t('backups.last', { date: moment(data.backups[0].at) }) : t('backups.none')}
        </p>
        {data.failed && (
          <p className="alarm">
            {t('backups.failed', { date: moment(data.failed.at) })} {data.failed.message}
          </p>
        )}
        <p className="quiet">{t('backups.lead', { count: data.kept, folder: data.folder })}</p>
        <p className="backup-now">
          <Button loading={running} onClick={make}>
            {t(running ? 'backups.making' : 'backups.make')}
          </Button>
        </p>
        <List backups={data.backups} />
        <p className="quiet small">{t('backups.restore')}</p>
      </div>
    </Frame>
  )
}

function List({ backups }: { backups: Kept[] }) {
  const { t } = useTranslation()
  return (
    <ul className="lines backups-kept">
      {backups.map((one) => (
        <li key={one.at} className="tab">
          {moment(one.at)}
          <span className="quiet small">
            {t('backups.size', {
              megabytes: number(Math.ceil(one.bytes / MEGABYTE)),
              count: one.files,
              records: number(one.records),
            })}
          </span>
        </li>
      ))}
    </ul>
  )
}

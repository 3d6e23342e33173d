// Deliver: what is not ready with a way there, then the files with their proof, then the history.
import { useQuery } from '@tanstack/react-query'
import { App, Button } from 'antd'
import { useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import { api } from '../shared/api'
import { Failure, Frame, Waiting } from '../shared/Frame'
import { fullDate, number, time } from '../shared/i18n'
import { languageName } from '../shared/languages'
import type { Delivery, Project, Readiness } from '../shared/types'

export function Deliver() {
  const { t } = useTranslation()
  const id = Number(useParams().id)
  const { message } = App.useApp()
  const [making, setMaking] = useState(false)
  const history = useRef<HTMLDivElement>(null)
  const project = useQuery({
    queryKey: ['project', id],
    queryFn: () => api.get<Project>(`/projects/${id}`),
    refetchOnMount: 'always',
  })
  const readiness = useQuery({
    queryKey: ['readiness', id],
    queryFn: () => api.get<Readiness>(`/projects/${id}/readiness`),
    refetchOnMount: 'always',
  })
  const deliveries = useQuery({
    queryKey: ['deliveries', id],
    queryFn: () => api.get<Delivery[]>(`/projects/${id}/deliveries`),
    refetchOnMount: 'always',
  })
  const error = project.error ?? readiness.error
  if (!project.data || !readiness.data)
    return (
      <Frame project={project.data}>
        {error ? (
          <Failure
            error={error}
            again={() => {
              void project.refetch()
              void readiness.refetch()
            }}
          />
        ) : (
          <Waiting />
        )}
      </Frame>
    )

  const make = () => {
    setMaking(true)
    void api
      .post<Delivery>(`/projects/${id}/deliveries`)
      .then(() => deliveries.refetch())
      .then(() => history.current?.scrollIntoView({ block: 'nearest' }))
      .catch((fault: Error) => message.error(fault.message === 'offline' ? t('app.offline') : fault.message))
      .finally(() => setMaking(false))
  }
  const open = Object.entries(readiness.data.items)
  const words = readiness.data.words
  const total = Object.values(words).reduce((sum, one) => sum + (one ?? 0), 0)
  return (
    <Frame
      project={project.data}
      words={{ done: total - (words.untouched ?? 0) - (words.draft ?? 0), total }}
    >
      <div className="sheet-view">
        <h1>{t('deliver.into', { language: languageName(project.data.target_lang) })}</h1>
        {open.length ? (
          <>
            <h2>{t('deliver.not')}</h2>
            <ul className="lines">
              {open.map(([name, item]) => (
                <li key={name}>
                  <div className="line">
                    <b>{t(`deliver.${name}`, { count: item.count })}</b>
                    <span className="quiet tab">{t('deliver.words', { words: number(item.words) })}</span>
                  </div>
                  <ul className="places">
                    {item.places.map((place) => (
                      <li key={place.id}>
                        <span className="quiet tab">{place.number}</span>
                        <Link className="plain-link reading" to={`/projects/${id}/translate#${place.id}`}>
                          {place.text}
                        </Link>
                        {project.data.documents.length > 1 && (
                          <span className="quiet small">{place.file}</span>
                        )}
                      </li>
                    ))}
                  </ul>
                  {item.count > item.places.length && (
                    <p className="small quiet" style={{ marginLeft: 54 }}>
                      {t('deliver.more', { count: item.count - item.places.length })}
                    </p>
                  )}
                </li>
              ))}
            </ul>
          </>
        ) : (
          <p className="quiet">{t('deliver.ready')}</p>
        )}
        <p style={{ marginTop: 22 }}>
          <Button type={open.length ? 'default' : 'primary'} size="large" loading={making} onClick={make}>
            {making ? t('deliver.making') : t(open.length ? 'deliver.makeAnyway' : 'deliver.make')}
          </Button>
        </p>
        <div ref={history}>
          <h2>{t('deliver.history')}</h2>
          {deliveries.data?.length ? (
            <ul className="lines">
              {deliveries.data.map((delivery) => (
                <Line key={delivery.id} delivery={delivery} />
              ))}
            </ul>
          ) : (
            <p className="quiet">{t('deliver.none')}</p>
          )}
        </div>
      </div>
    </Frame>
  )
}

function Line({ delivery }: { delivery: Delivery }) {
  const { t } = useTranslation()
  const unfinished = Object.entries(delivery.unfinished).map(([name, item]) =>
    t(`deliver.left${name[0].toUpperCase()}${name.slice(1)}`, { count: item.count }),
  )
  return (
    <li>
      <div className="line">
        <span>
          <b>{t('deliver.number', { number: delivery.number })}</b>{' '}
          <span className="quiet">
            {t('deliver.by', {
              date: `${fullDate(delivery.created_at)}, ${time(delivery.created_at)}`,
              author: delivery.author,
            })}
            {unfinished.length > 0 && ` · ${t('deliver.unfinishedThen', { list: unfinished.join(', ') })}`}
            {delivery.learned > 0 && ` · ${t('deliver.learned', { count: delivery.learned })}`}
          </span>
        </span>
        {delivery.files.length > 1 && (
          <a className="link" href={`/api/deliveries/${delivery.id}`}>
            {t('deliver.zip')}
          </a>
        )}
      </div>
      <ul className="places">
        {delivery.files.map((file) => (
          <li key={file.id} style={{ gridTemplateColumns: 'minmax(0, 1fr) auto', padding: '6px 0' }}>
            <span>
              <b>{file.name}</b>{' '}
              <span className="quiet small tab">
                {number(Math.ceil(file.byte_size / 1024))} kB · SHA-256 {file.checksum.slice(0, 12)}
              </span>
              <span
                className={`small ${file.proof.identical ? 'quiet' : 'alarm'}`}
                style={{ display: 'block' }}
              >
                {file.proof.identical
                  ? t('deliver.proved', {
                      segments: number(file.proof.segments),
                      codes: number(file.proof.codes),
                    })
                  : t('deliver.faults', { count: file.proof.differences.length })}
              </span>
              {file.proof.differences.slice(0, 6).map((difference, index) => (
                <span key={index} className="small" style={{ display: 'block' }}>
                  {difference.message}
                </span>
              ))}
              {file.proof.differences.some((difference) => difference.what === 'unreadable') && (
                <span className="small alarm" style={{ display: 'block' }}>
                  {t('deliver.notIn')}
                </span>
              )}
              {file.proof.left && (
                <span className="small quiet" style={{ display: 'block' }}>
                  {t('deliver.leftAsWas')} {file.proof.left.slice(0, 6).join(' · ')}
                </span>
              )}
            </span>
            <a className="link" href={`/api/delivered_files/${file.id}`} download={file.name}>
              {t('deliver.download')}
            </a>
          </li>
        ))}
      </ul>
    </li>
  )
}

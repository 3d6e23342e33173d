// Deliver: the files and the button, what is not ready with a way there, then the history.
import { Button } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { ItsServer } from '../servers/ItsServer'
import { Frame } from '../shared/Frame'
import { languageName } from '../shared/languages'
import { Failure, Waiting } from '../shared/Notices'
import type { Readiness } from '../shared/types'
import { DeliveryLine } from './DeliveryLine'
import { DeliveryProgress } from './DeliveryProgress'
import { FilesToDeliver } from './FilesToDeliver'
import { ForClient } from './ForClient'
import { HandBack } from './HandBack'
import { Message } from './Message'
import { NotReady } from './NotReady'
import { OnlyChanged } from './OnlyChanged'
import { SinceLast } from './SinceLast'
import { useDelivering } from './useDelivering'
import { useDelivered, useDeliveries, useReadiness } from './queries'
import './deliver.css'

function progressOf({ words }: Readiness) {
  const total = Object.values(words).reduce((sum, one) => sum + (one ?? 0), 0)
  return { done: total - (words.untouched ?? 0) - (words.draft ?? 0), total }
}

export function Deliver() {
  const { t } = useTranslation()
  const id = Number(useParams().id)
  const { operation, begin, refresh, busy } = useDelivering(id)
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set())
  const [written, setWritten] = useState<string | null>(null)
  const project = useDelivered(id)
  const readiness = useReadiness(id)
  const deliveries = useDeliveries(id)
  const error = project.error ?? readiness.error
  const again = () => {
    void project.refetch()
    void readiness.refetch()
  }
  if (!project.data || !readiness.data)
    return (
      <Frame project={project.data}>{error ? <Failure error={error} again={again} /> : <Waiting />}</Frame>
    )

  const stamp = deliveries.data?.length ?? 0
  const message = written ?? readiness.data.message
  const documents = project.data.documents.filter((document) => document.state === 'ready')
  const unread = project.data.documents.filter((document) => document.state !== 'ready')
  const chosen = documents.filter((document) => !left.has(document.id))
  const make = () => begin({ document_ids: chosen.map((document) => document.id), message })
  const { items, unchecked, out } = readiness.data
  const ready = Object.keys(items).length === 0 && unchecked === 0 && out.length === 0
  const { client, target_lang } = project.data
  const title = client
    ? t('deliver.toClient', { client })
    : t('deliver.into', { language: languageName(target_lang) })
  const label = t(ready ? 'deliver.make' : 'deliver.makeAnyway')
  return (
    <Frame project={project.data} words={progressOf(readiness.data)}>
      <div className="sheet-view deliver-view">
        <div>
          <h1>{title}</h1>
          <p className="quiet">
            {t('deliver.filesInto', {
              count: documents.length,
              language: languageName(target_lang),
            })}
          </p>
          <HandBack project={project.data} />
          {!project.data.server?.said && <ItsServer project={project.data} />}
          <p className="deliver-act">
            <Button
              type={ready ? 'primary' : 'default'}
              size="large"
              disabled={!chosen.length || busy}
              onClick={make}
            >
              {label}
            </Button>
            <span className="small quiet">{t(ready ? 'deliver.ready' : 'deliver.how')}</span>
          </p>
          <FilesToDeliver
            documents={documents}
            deliveries={deliveries.data ?? []}
            left={left}
            onLeft={setLeft}
          >
            <OnlyChanged project={id} documents={documents} stamp={stamp} onLeft={setLeft} />
            {unread.length > 0 && (
              <p className="small quiet">
                {t('deliver.unread', { names: unread.map((document) => document.name).join(' · ') })}
              </p>
            )}
          </FilesToDeliver>
          {operation && <DeliveryProgress operation={operation} onChanged={refresh} />}
          <SinceLast project={id} stamp={stamp} />
          <h2>{t('deliver.history')}</h2>
          {deliveries.data?.length ? (
            <ul className="lines">
              {deliveries.data.map((delivery) => (
                <DeliveryLine key={delivery.id} delivery={delivery} onSent={() => deliveries.refetch()} />
              ))}
            </ul>
          ) : (
            <p className="quiet">{t('deliver.none')}</p>
          )}
          <ForClient project={project.data} />
        </div>
        <aside>
          {!ready && <NotReady readiness={readiness.data} project={project.data} />}
          <Message text={message} onChange={setWritten} />
        </aside>
      </div>
    </Frame>
  )
}

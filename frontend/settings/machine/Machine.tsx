// Services of machine translation: those there are, each tried out and switched on or off, and what was sent.
import { Button, Checkbox } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Frame } from '../../shared/Frame'
import { Failure, Waiting } from '../../shared/Notices'
import type { MachineService } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { Comparison } from './Comparison'
import { Sent } from './Sent'
import { ServiceForm } from './ServiceForm'
import { Trying } from './Trying'
import { dropService, keepService, useServices } from './queries'
import '../settings.css'

export function Machine() {
  const { t } = useTranslation()
  const query = useServices()
  const { act } = useAct()
  const [editing, setEditing] = useState<number | 'new' | null>(null)
  const data = query.data
  if (!data) {
    const again = () => void query.refetch()
    return <Frame>{query.error ? <Failure error={query.error} again={again} /> : <Waiting />}</Frame>
  }
  const change = (work: () => Promise<unknown>) =>
    void act(async () => {
      await work()
      setEditing(null)
      await query.refetch()
    })
  const form = (service?: MachineService) => (
    <ServiceForm
      key={service?.id ?? 'new'}
      service={service}
      templates={data.templates}
      onLeave={() => setEditing(null)}
      onKeep={(fields) => change(() => keepService(fields, service?.id))}
    />
  )
  return (
    <Frame>
      <div className="sheet-view machine-services">
        <h1>{t('machine.title')}</h1>
        <p className="quiet">{t('machine.about')}</p>
        <ul className="lines">
          {data.services.map((service) => (
            <li key={service.id}>
              {editing === service.id ? (
                form(service)
              ) : (
                <Service
                  service={service}
                  onEdit={() => setEditing(service.id)}
                  onTurn={(active) => change(() => keepService({ active }, service.id))}
                  onDrop={() => change(() => dropService(service.id))}
                />
              )}
            </li>
          ))}
        </ul>
        {editing === 'new' ? form() : <Button onClick={() => setEditing('new')}>{t('machine.add')}</Button>}
        {data.services.filter(({ active }) => active).length > 1 && <Comparison />}
        <Sent sent={data.sent} />
      </div>
    </Frame>
  )
}

interface ServiceProps {
  service: MachineService
  onEdit: () => void
  onTurn: (active: boolean) => void
  onDrop: () => void
}

function Service({ service, onEdit, onTurn, onDrop }: ServiceProps) {
  const { t } = useTranslation()
  return (
    <div className="machine-service">
      <h2>{service.name}</h2>
      <p className="small quiet">
        {service.address} · {t(service.has_key ? 'machine.withKey' : 'machine.withoutKey')}
      </p>
      <Checkbox checked={service.active} onChange={(event) => onTurn(event.target.checked)}>
        {t('machine.active')}
      </Checkbox>
      <p className="presses small">
        <button type="button" className="plain-link" onClick={onEdit}>
          {t('machine.edit')}
        </button>
        <button type="button" className="plain-link" onClick={onDrop}>
          {t('machine.drop')}
        </button>
      </p>
      <Trying service={service.id} />
    </div>
  )
}

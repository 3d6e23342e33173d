// The people of a client: name, what they do, mail address.
import { Button, Form, Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { ClientPage, Person } from '../shared/types'
import { LongInPlace } from '../shared/parts/LongInPlace'
import { Row } from '../shared/parts/Row'
import type { ChangeClient } from './queries'

export function People({ client, change }: { client: ClientPage; change: ChangeClient }) {
  const { t } = useTranslation()
  const [adding, setAdding] = useState(false)
  return (
    <>
      <h2>{t('clients.people')}</h2>
      <ul className="people">
        {client.people.map((person) => (
          <li key={`${person.name} ${person.email}`}>
            <span>
              <b>{person.name}</b>{' '}
              <span className="quiet small">{[person.role, person.email].filter(Boolean).join(' · ')}</span>
            </span>
            <button
              type="button"
              className="quiet"
              aria-label={`${t('brief.remove')}: ${person.name}`}
              onClick={() => change({ people: client.people.filter((one) => one !== person) })}
            >
              ✕
            </button>
          </li>
        ))}
      </ul>
      {adding ? (
        <NewPerson
          onAdd={(person) => {
            setAdding(false)
            change({ people: [...client.people, person] })
          }}
        />
      ) : (
        <button type="button" className="plain-link small" onClick={() => setAdding(true)}>
          {t('clients.addPerson')}
        </button>
      )}
      <dl>
        <Row label={t('clients.address')}>
          <LongInPlace
            label={t('clients.address')}
            blank={t('brief.write')}
            value={client.address}
            onChange={(address) => change({ address })}
          />
        </Row>
        <Row label={t('clients.notes')}>
          <LongInPlace
            label={t('clients.notes')}
            blank={t('brief.write')}
            value={client.notes}
            onChange={(notes) => change({ notes })}
          />
        </Row>
      </dl>
    </>
  )
}

function NewPerson({ onAdd }: { onAdd: (person: Person) => void }) {
  const { t } = useTranslation()
  return (
    <Form<Person> layout="inline" className="new-person" onFinish={onAdd}>
      <Form.Item name="name" rules={[{ required: true, message: t('clients.needsName') }]}>
        <Input
          autoFocus
          size="small"
          placeholder={t('clients.personName')}
          aria-label={t('clients.personName')}
        />
      </Form.Item>
      <Form.Item name="role">
        <Input size="small" placeholder={t('clients.role')} aria-label={t('clients.role')} />
      </Form.Item>
      <Form.Item name="email">
        <Input size="small" placeholder={t('account.email')} aria-label={t('account.email')} />
      </Form.Item>
      <Button size="small" htmlType="submit">
        {t('clients.addIt')}
      </Button>
    </Form>
  )
}

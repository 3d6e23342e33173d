// What new projects of a client get: subjects, lists of words, patterns, rules, machine translation.
import { Checkbox } from 'antd'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { ClientPage } from '../shared/types'
import { OnOpening } from './OnOpening'
import { ServiceOrder } from './ServiceOrder'
import { Row } from '../shared/parts/Row'
import { WordsInPlace } from '../shared/parts/WordsInPlace'
import type { ChangeClient } from './queries'

export function ForWork({ client, change }: { client: ClientPage; change: ChangeClient }) {
  const { t } = useTranslation()
  return (
    <>
      <h2>{t('clients.newProjects')}</h2>
      <dl>
        <Row label={t('clients.subjects')}>
          <WordsInPlace
            label={t('clients.subjects')}
            words={client.subjects}
            onChange={(subjects) => change({ subjects })}
          />
        </Row>
        <Row label={t('clients.neverUsed')}>
          <WordsInPlace
            label={t('clients.neverUsed')}
            words={client.never_used}
            patterns
            onChange={(never_used) => change({ never_used })}
          />
        </Row>
        <Row label={t('clients.neverTranslated')}>
          <WordsInPlace
            label={t('clients.neverTranslated')}
            words={client.never_translated}
            patterns
            onChange={(never_translated) => change({ never_translated })}
          />
        </Row>
        <Row label={t('clients.referencePattern')}>
          <TextInPlace
            label={t('clients.referencePattern')}
            blank={t('clients.asInAccount')}
            value={client.reference_pattern}
            onChange={(reference_pattern) => change({ reference_pattern })}
          />
        </Row>
        <Row label={t('clients.filePattern')}>
          <TextInPlace
            label={t('clients.filePattern')}
            blank="{name}_{target}"
            value={client.file_pattern}
            onChange={(file_pattern) => change({ file_pattern })}
          />
          <p className="small quiet">{t('clients.filePatternHint')}</p>
        </Row>
        <Row label={t('clients.rules')}>
          <Link className="plain-link" to={`/clients/${client.id}/rules`}>
            {t(client.has_rules ? 'clients.ownRules' : 'clients.noRules')}
          </Link>
        </Row>
        <Row label={t('clients.checks')}>
          <Link className="plain-link" to={`/clients/${client.id}/checks`}>
            {t(client.has_checks ? 'clients.ownChecks' : 'clients.usualChecks')}
          </Link>
        </Row>
        <Row label={t('clients.machine')}>
          <Checkbox checked={client.machine} onChange={(event) => change({ machine: event.target.checked })}>
            {t('clients.mayMachine')}
          </Checkbox>
          {client.machine && client.machine_services.length > 1 && <ServiceOrder {...{ client, change }} />}
        </Row>
        <Row label={t('ways.onOpen')}>
          <OnOpening value={client.on_open} onChange={(on_open) => change({ on_open })} />
        </Row>
      </dl>
    </>
  )
}

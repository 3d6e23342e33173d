// What a project is: client, reference, languages, due date, subject. Each is changed where it stands.
import { useTranslation } from 'react-i18next'
import { languageName, languageOptions } from '../shared/languages'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import { Row } from '../shared/parts/Row'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { Project } from '../shared/types'
import type { Change } from './Brief'
import { DueDate } from './DueDate'
import { changeProject, makeClient, useClients } from './queries'
import type { Attempt } from './useChanges'

interface Props {
  project: Project
  change: Change
  attempt: Attempt
}

export function About({ project, change, attempt }: Props) {
  const { t } = useTranslation()
  return (
    <dl>
      <Row label={t('brief.client')}>
        <ClientChoice {...{ project, change, attempt }} />
      </Row>
      <Row label={t('brief.reference')}>
        <TextInPlace
          label={t('brief.reference')}
          blank={t('brief.write')}
          value={project.reference ?? ''}
          onChange={(reference) => change({ reference })}
        />
        <NextReference project={project} change={change} />
      </Row>
      <Row label={t('brief.from')}>
        <Language label={t('brief.from')} name="source_lang" {...{ project, change }} />
      </Row>
      <Row label={t('brief.into')}>
        <Language label={t('brief.into')} name="target_lang" {...{ project, change }} />
      </Row>
      <Row label={t('brief.due')}>
        <DueDate due={project.due_at} onChange={(due_at) => change({ due_at })} />
      </Row>
      <Row label={t('brief.subject')}>
        <TextInPlace
          label={t('brief.subject')}
          blank={t('brief.write')}
          value={project.subject}
          onChange={(subject) => change({ subject })}
        />
      </Row>
    </dl>
  )
}

// The number that would be next, where another one was written.
function NextReference({ project, change }: Pick<Props, 'project' | 'change'>) {
  const { t } = useTranslation()
  const next = project.next_reference
  if (!next || next === project.reference) return null
  return (
    <span className="small quiet">
      {' '}
      {t('brief.next')}{' '}
      <button type="button" className="plain-link" onClick={() => change({ reference: next })}>
        {next}
      </button>
    </span>
  )
}

// Languages are fixed once the work has begun.
function Language({
  project,
  change,
  label,
  name,
}: {
  project: Project
  change: Change
  label: string
  name: 'source_lang' | 'target_lang'
}) {
  const { t } = useTranslation()
  if (project.begun_at) return languageName(project[name])
  return (
    <ChoiceInPlace
      label={label}
      blank={t('brief.chooseLanguage')}
      value={project[name]}
      options={languageOptions}
      onChange={(tag) => change({ [name]: tag })}
    />
  )
}

function ClientChoice({ project, change, attempt }: Props) {
  const { t } = useTranslation()
  const clients = useClients()
  const own = project.client_id ? [{ id: project.client_id, name: project.client ?? '' }] : []
  const seen = project.proposed.client_seen
  const add = (name: string) =>
    attempt(async () => {
      const client = await makeClient(name)
      await changeProject(project.id, { client_id: client.id })
      await clients.refetch()
    })
  return (
    <>
      <ChoiceInPlace
        label={t('brief.client')}
        blank={t('brief.chooseClient')}
        value={project.client_id === null ? null : String(project.client_id)}
        options={(clients.data ?? own).map(({ id, name }) => ({ value: String(id), label: name }))}
        onChange={(value) => change({ client_id: Number(value) })}
        onAdd={add}
        addLabel={(name) => t('brief.add', { name })}
      />
      {seen && project.client_id && (
        <p className="small quiet">{t('brief.seen', { seen: seen[0], all: seen[1] })}</p>
      )}
    </>
  )
}

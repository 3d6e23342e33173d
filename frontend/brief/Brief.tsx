// Brief: the files as they are read on the left, what the project will be on the right. Everything is changed
// in place.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { App, DatePicker, InputNumber } from 'antd'
import dayjs from 'dayjs'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import { api } from '../shared/api'
import { Failure, Frame, Waiting } from '../shared/Frame'
import { daysUntil, longDate, number, pace, time, weekday } from '../shared/i18n'
import { languageName, languageOptions } from '../shared/languages'
import { useProjectNews } from '../shared/live'
import {
  BandBar,
  ChoiceInPlace,
  DropFiles,
  MenuInPlace,
  TextInPlace,
  bandGroups,
  useSettled,
} from '../shared/parts'
import { useSettings } from '../shared/settings'
import type { AttachedMemory, Client, Learns, Memory, Project } from '../shared/types'
import { sendFiles } from './dropping'
import { Begin } from './Begin'
import { Done } from './Done'
import { FileRow } from './FileRow'
import { Sending } from './Sending'
import { useChanges, type Attempt } from './useChanges'

export function Brief() {
  const { t } = useTranslation()
  const id = Number(useParams().id)
  const cache = useQueryClient()
  const { message } = App.useApp()
  const { user } = useSettings()
  const [sending, setSending] = useState<{ share: number | null; count: number }>({ share: null, count: 0 })
  const query = useQuery({
    queryKey: ['project', id],
    queryFn: () => api.get<Project>(`/projects/${id}`),
    refetchOnMount: 'always',
    // The cable brings the news; this is for when it cannot.
    refetchInterval: (state) =>
      state.state.data?.documents.some(
        (one) => one.state === 'waiting' || one.state === 'reading' || (one.state === 'ready' && !one.bands),
      ) || state.state.data?.versions.some((one) => one.state === 'waiting' || one.state === 'reading')
        ? 1500
        : false,
  })
  useProjectNews(id, (news) => {
    if (news.event === 'document' && news.state === 'reading') {
      cache.setQueryData<Project>(
        ['project', id],
        (old) =>
          old && {
            ...old,
            documents: old.documents.map((one) =>
              one.id === news.id
                ? { ...one, state: 'reading', done: news.done ?? 0, total: news.total ?? 0 }
                : one,
            ),
          },
      )
    } else if (news.event === 'refused' && news.message) void message.error(news.message)
    else void cache.invalidateQueries({ queryKey: ['project', id] })
  })
  const { refetch } = query
  const { attempt, settled, busy: changing } = useChanges(refetch)
  const project = query.data
  if (!project)
    return (
      <Frame>
        {query.error ? <Failure error={query.error} again={() => void query.refetch()} /> : <Waiting />}
      </Frame>
    )

  const change = (fields: Record<string, unknown>) =>
    attempt(() => api.patch<Project>(`/projects/${id}`, fields))
  const drop = (files: File[]) =>
    attempt(async () => {
      try {
        setSending({ share: 0, count: files.length })
        await sendFiles(id, files, (share) => setSending({ share, count: files.length }))
      } finally {
        setSending({ share: null, count: 0 })
      }
    })
  const ready = project.documents.filter((one) => one.state === 'ready')
  const busy = project.documents.some((one) => one.state === 'waiting' || one.state === 'reading')
  const words = ready.reduce((sum, one) => sum + (one.facts.words ?? 0), 0)
  const groups = bandGroups(ready.map((one) => one.bands))
  const counted = ready.length > 0 && ready.every((one) => one.bands)
  const fresh = groups.find((group) => group.name === 'new')!.words
  return (
    <Frame
      project={project}
      words={
        project.begun_at
          ? {
              done:
                (project.words.translated ?? 0) + (project.words.reviewed ?? 0) + (project.words.final ?? 0),
              total: words,
            }
          : undefined
      }
    >
      <div
        className="brief"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault()
          drop([...event.dataTransfer.files])
        }}
      >
        <section>
          <h1>
            <TextInPlace
              value={project.name}
              blank={t('brief.nothing')}
              label={t('brief.name')}
              onChange={(name) => change({ name })}
            />
          </h1>
          <p className="quiet">
            {t('brief.files', { count: project.documents.length, ready: ready.length })}
            {project.documents.length > 0 && (
              <>
                {' '}
                ·{' '}
                <Link className="plain-link" to={`/projects/${id}/rules`}>
                  {t('brief.rules')}
                </Link>
              </>
            )}
          </p>
          {words > 0 && (
            <div className="sum">
              <div className="figures">
                <b className="tab">{number(words)}</b>
                {counted ? (
                  <>
                    {t('brief.ofWhich')} <b className="tab">{number(fresh)}</b>
                    {t('brief.newForYou')} · {pace(fresh / user.words_per_hour)}
                  </>
                ) : (
                  t('brief.words')
                )}
              </div>
              <BandBar bands={ready.map((one) => one.bands)} thick />
              <ul className="legend">
                {groups.map((group) => (
                  <li key={group.name} style={{ '--swatch': group.ink } as React.CSSProperties}>
                    {t(`bands.${group.name}`)} <span className="tab">{number(group.words)}</span>
                  </li>
                ))}
              </ul>
            </div>
          )}
          <ul className="files">
            {project.documents.map((one) => (
              <FileRow
                key={one.id}
                row={one}
                project={project.id}
                version={project.versions.find((newer) => newer.replaces_id === one.id)}
                fixed={!!project.begun_at}
                attempt={attempt}
              />
            ))}
          </ul>
          <Sending {...sending} />
          {sending.share === null && (
            <DropFiles slim={project.documents.length > 0} onFiles={drop}>
              {project.documents.length ? (
                <span className="quiet">
                  {t('brief.dropMore')} <span className="plain-link">{t('brief.choose')}</span>
                </span>
              ) : (
                <>
                  <h2>{t('brief.dropFirst')}</h2>
                  <p className="quiet">
                    {t('brief.dropLead')} <span className="plain-link">{t('today.choose')}</span>
                  </p>
                </>
              )}
            </DropFiles>
          )}
          {project.begun_at && <Done project={id} stamp={query.dataUpdatedAt} attempt={attempt} />}
        </section>
        <section className="about">
          <About project={project} change={change} attempt={attempt} />
          <Stock project={project} change={change} />
          <Begin project={project} ready={ready.length > 0 && !busy && !changing} settled={settled} />
        </section>
      </div>
    </Frame>
  )
}

function About({
  project,
  change,
  attempt,
}: {
  project: Project
  change: (fields: Record<string, unknown>) => void
  attempt: Attempt
}) {
  const { t } = useTranslation()
  const [dating, setDating] = useState(false)
  const clients = useQuery({
    queryKey: ['clients'],
    queryFn: () => api.get<Client[]>('/clients'),
    refetchOnMount: 'always',
  })
  const addClient = (name: string) =>
    attempt(async () => {
      const client = await api.post<Client>('/clients', { name })
      await api.patch(`/projects/${project.id}`, { client_id: client.id })
      await clients.refetch()
    })
  const seen = project.proposed.client_seen
  const fixed = !!project.begun_at
  const due = project.due_at
  const dueText =
    due &&
    `${daysUntil(due) >= 0 && daysUntil(due) < 7 ? `${weekday(due)} ${longDate(due).replace(/^\w+,? /, '')}` : longDate(due)}, ${time(due)}`
  return (
    <dl>
      <div>
        <dt>{t('brief.client')}</dt>
        <dd>
          <ChoiceInPlace
            label={t('brief.client')}
            blank={t('brief.chooseClient')}
            value={project.client_id === null ? null : String(project.client_id)}
            options={(
              clients.data ??
              (project.client_id ? [{ id: project.client_id, name: project.client ?? '', code: '' }] : [])
            ).map((client) => ({ value: String(client.id), label: client.name }))}
            onChange={(value) => change({ client_id: Number(value) })}
            onAdd={addClient}
            addLabel={(name) => t('brief.add', { name })}
          />
          {seen && project.client_id && (
            <p className="small quiet">{t('brief.seen', { seen: seen[0], all: seen[1] })}</p>
          )}
        </dd>
      </div>
      <div>
        <dt>{t('brief.reference')}</dt>
        <dd>
          <TextInPlace
            label={t('brief.reference')}
            blank={t('brief.write')}
            value={project.reference ?? ''}
            onChange={(reference) => change({ reference })}
          />
        </dd>
      </div>
      <div>
        <dt>{t('brief.from')}</dt>
        <dd>
          {fixed ? (
            languageName(project.source_lang)
          ) : (
            <ChoiceInPlace
              label={t('brief.from')}
              blank={t('brief.chooseLanguage')}
              value={project.source_lang}
              options={languageOptions}
              onChange={(source_lang) => change({ source_lang })}
            />
          )}
        </dd>
      </div>
      <div>
        <dt>{t('brief.into')}</dt>
        <dd>
          {fixed ? (
            languageName(project.target_lang)
          ) : (
            <ChoiceInPlace
              label={t('brief.into')}
              blank={t('brief.chooseLanguage')}
              value={project.target_lang}
              options={languageOptions}
              onChange={(target_lang) => change({ target_lang })}
            />
          )}
        </dd>
      </div>
      <div>
        <dt>{t('brief.due')}</dt>
        <dd>
          {dating ? (
            <DueDate
              due={due}
              label={t('brief.due')}
              onClose={() => setDating(false)}
              onChange={(due_at) => {
                setDating(false)
                change({ due_at })
              }}
            />
          ) : (
            <button
              type="button"
              className={`in-place ${due ? '' : 'blank'}`}
              aria-label={`${t('brief.due')}: ${dueText ?? t('brief.setDate')}`}
              onClick={() => setDating(true)}
            >
              {dueText ?? t('brief.setDate')}
            </button>
          )}
        </dd>
      </div>
      <div>
        <dt>{t('brief.subject')}</dt>
        <dd>
          <TextInPlace
            label={t('brief.subject')}
            blank={t('brief.write')}
            value={project.subject}
            onChange={(subject) => change({ subject })}
          />
        </dd>
      </div>
    </dl>
  )
}

function DueDate({
  due,
  label,
  onClose,
  onChange,
}: {
  due: string | null
  label: string
  onClose: () => void
  onChange: (due: string | null) => void
}) {
  const settled = useSettled()
  return (
    <DatePicker
      autoFocus
      open={settled}
      showTime={{ format: 'HH:mm', minuteStep: 15 }}
      size="small"
      aria-label={label}
      format="ddd D MMM YYYY, HH:mm"
      value={due ? dayjs(due) : dayjs().add(1, 'day').hour(16).minute(0)}
      onOpenChange={(open) => {
        if (!open && settled) onClose()
      }}
      onChange={(value) => onChange(value?.toISOString() ?? null)}
    />
  )
}

// The memories of the project: order, when each learns, points off.
function Stock({ project, change }: { project: Project; change: (fields: Record<string, unknown>) => void }) {
  const { t } = useTranslation()
  const paired = !!project.source_lang && !!project.target_lang
  const all = useQuery({
    queryKey: ['memories', project.source_lang, project.target_lang],
    enabled: paired,
    refetchOnMount: 'always',
    queryFn: () =>
      api.get<Memory[]>(`/memories?source_lang=${project.source_lang}&target_lang=${project.target_lang}`),
  })
  const rows = project.memories
  const save = (list: AttachedMemory[]) =>
    change({
      memories: list.map(({ memory_id, learns, read_only, penalty }) => ({
        memory_id,
        learns,
        read_only,
        penalty,
      })),
    })
  const edit = (at: number, fields: Partial<AttachedMemory>) =>
    save(rows.map((row, index) => (index === at ? { ...row, ...fields } : row)))
  const move = (at: number, by: number) => {
    const list = [...rows]
    const [row] = list.splice(at, 1)
    list.splice(at + by, 0, row)
    save(list)
  }
  const free = (all.data ?? []).filter((memory) => !rows.some((row) => row.memory_id === memory.id))
  const fresh = { learns: 'never' as Learns, read_only: false, penalty: 0 }
  const add = (memory: Memory) =>
    save([
      ...rows,
      {
        ...fresh,
        memory_id: memory.id,
        name: memory.name,
        source_lang: memory.source_lang,
        target_lang: memory.target_lang,
        units: memory.units,
        learns: 'deliver',
      },
    ])
  const make = (name: string) =>
    void api
      .post<Memory>('/memories', { name, source_lang: project.source_lang, target_lang: project.target_lang })
      .then((memory) => {
        add(memory)
        void all.refetch()
      })
  return (
    <>
      <h2>{t('brief.memories')}</h2>
      {!paired ? (
        <p className="small quiet">{t('brief.pairFirst')}</p>
      ) : (
        <>
          <ol className="stock">
            {!project.begun_at && (
              <li>
                <span className="rank tab">1</span>
                <span className="name">
                  {t('brief.ownNew', { reference: project.reference ?? t('brief.own') })}
                </span>
                <span className="small quiet">{t('brief.learns.confirm')}</span>
              </li>
            )}
            {rows.map((row, index) => (
              <li key={row.memory_id}>
                <span className="rank tab">{index + (project.begun_at ? 1 : 2)}</span>
                <span className="name">
                  {row.name}{' '}
                  <span className="small quiet">
                    {t('brief.units', { count: row.units, units: number(row.units) })}
                    {row.source_lang !== project.source_lang || row.target_lang !== project.target_lang
                      ? ` · ${row.source_lang} → ${row.target_lang}, 1 off`
                      : ''}
                  </span>
                </span>
                <span className="small">
                  <MenuInPlace
                    title={row.name}
                    label={[
                      row.read_only ? t('brief.readOnly') : t(`brief.learns.${row.learns}`),
                      row.penalty ? t('brief.off', { penalty: row.penalty }) : '',
                    ]
                      .filter(Boolean)
                      .join(' · ')}
                    value={row.read_only ? 'read' : row.learns}
                    options={[
                      ...(['confirm', 'deliver', 'never'] as const).map((value) => ({
                        value,
                        label: t(`brief.learns.${value}`),
                      })),
                      { value: 'read', label: t('brief.readOnly') },
                    ]}
                    onChange={(value) =>
                      edit(
                        index,
                        value === 'read'
                          ? { read_only: true }
                          : { read_only: false, learns: value as Learns },
                      )
                    }
                    extra={
                      <div
                        style={{
                          display: 'grid',
                          gap: 4,
                          borderTop: '1px solid var(--line)',
                          paddingTop: 6,
                          marginTop: 4,
                        }}
                      >
                        <label
                          className="small quiet"
                          style={{
                            padding: '0 8px',
                            display: 'flex',
                            gap: 8,
                            alignItems: 'center',
                            justifyContent: 'space-between',
                          }}
                        >
                          {t('brief.penalty')}
                          <InputNumber
                            size="small"
                            min={0}
                            max={50}
                            style={{ width: 64 }}
                            defaultValue={row.penalty}
                            onBlur={(event) => {
                              const penalty = Number(event.target.value)
                              if (penalty !== row.penalty) edit(index, { penalty })
                            }}
                          />
                        </label>
                        {index > 0 && (
                          <button
                            type="button"
                            style={{ padding: '5px 8px' }}
                            onClick={() => move(index, -1)}
                          >
                            {t('brief.up')}
                          </button>
                        )}
                        {index < rows.length - 1 && (
                          <button type="button" style={{ padding: '5px 8px' }} onClick={() => move(index, 1)}>
                            {t('brief.down')}
                          </button>
                        )}
                        <button
                          type="button"
                          style={{ padding: '5px 8px' }}
                          onClick={() => save(rows.filter((_, other) => other !== index))}
                        >
                          {t('brief.detach')}
                        </button>
                      </div>
                    }
                  />
                </span>
              </li>
            ))}
          </ol>
          {!rows.length && !free.length && !project.begun_at && (
            <p className="small quiet">{t('brief.noMemories')}</p>
          )}
          <p className="small" style={{ marginTop: 6 }}>
            <ChoiceInPlace
              label={t('brief.addMemory')}
              blank={t('brief.addMemory')}
              value={null}
              options={free.map((memory) => ({
                value: String(memory.id),
                label: `${memory.name} · ${t('brief.units', { count: memory.units, units: number(memory.units) })}${memory.source_lang !== project.source_lang || memory.target_lang !== project.target_lang ? ` · ${memory.source_lang} → ${memory.target_lang}` : ''}`,
              }))}
              onChange={(value) => {
                const memory = free.find((one) => String(one.id) === value)
                if (memory) add(memory)
              }}
              onAdd={make}
              addLabel={(name) => t('brief.add', { name })}
            />
          </p>
          {project.proposed.as_in && !project.begun_at && rows.length > 0 && (
            <p className="small quiet" style={{ marginTop: 8 }}>
              {t('brief.asIn', { reference: project.proposed.as_in })}
            </p>
          )}
        </>
      )}
    </>
  )
}

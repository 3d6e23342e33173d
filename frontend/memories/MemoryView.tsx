// Inside a memory: search first, facets beside, units to read and to edit in place, many at once, what
// deserves a look, and its history.
import { keepPreviousData, useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query'
import { App, Button, Input } from 'antd'
import { useDeferredValue, useEffect, useRef, useState, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import { api } from '../shared/api'
import { Failure, Frame, Waiting } from '../shared/Frame'
import { fullDate, number, time } from '../shared/i18n'
import { direction, languageName } from '../shared/languages'
import { MenuInPlace, TextInPlace } from '../shared/parts'
import type { Memory, MemoryChange, MemoryUnit, UnitVersion } from '../shared/types'
import { Written } from '../translate/Written'
import { BringIn, Running, changeText, useAttempt, type Attempt } from './acts'

const FACETS = ['client', 'subject', 'author', 'project', 'origin'] as const
type Facet = (typeof FACETS)[number]
type Search = { text: string; side: string; tidy: string } & Partial<Record<Facet, string>>
type Answer = { units: MemoryUnit[]; more: boolean; count: number }
const UNDER_WAY = ['waiting', 'running', 'undoing']
const NOTHING: Search = { text: '', side: 'both', tidy: '' }

export function MemoryView() {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const id = Number(useParams().id)
  const cache = useQueryClient()
  const [search, setSearch] = useState<Search>(NOTHING)
  const [chosen, setChosen] = useState<Set<number>>(new Set())
  const [history, setHistory] = useState(false)
  const asked = useDeferredValue(search)
  const memory = useQuery({
    queryKey: ['memory', id],
    queryFn: () => api.get<Memory>(`/memories/${id}`),
    refetchOnMount: 'always',
    refetchInterval: (query) => (query.state.data?.busy.length ? 700 : false),
  })
  const units = useInfiniteQuery({
    queryKey: ['units', id, asked, memory.data?.units],
    enabled: memory.data !== undefined,
    placeholderData: keepPreviousData,
    initialPageParam: 0,
    getNextPageParam: (last: Answer, all) => (last.more ? all.length : undefined),
    queryFn: ({ pageParam }) =>
      api.get<Answer>(`/memories/${id}/units?${new URLSearchParams({ ...asked, page: String(pageParam) })}`),
  })
  const facets = useQuery({
    queryKey: ['facets', id, asked, memory.data?.units],
    enabled: memory.data !== undefined,
    placeholderData: keepPreviousData,
    queryFn: () =>
      api.get<Record<Facet, [string, number][]>>(`/memories/${id}/facets?${new URLSearchParams(asked)}`),
  })
  const tidy = useQuery({
    queryKey: ['tidy', id, memory.data?.units],
    enabled: memory.data !== undefined,
    placeholderData: keepPreviousData,
    queryFn: () => api.get<Record<string, number>>(`/memories/${id}/tidy`),
  })
  const fresh = () =>
    Promise.all([
      memory.refetch(),
      cache.invalidateQueries({ queryKey: ['units', id] }),
      cache.invalidateQueries({ queryKey: ['facets', id] }),
      cache.invalidateQueries({ queryKey: ['tidy', id] }),
      cache.invalidateQueries({ queryKey: ['changes', id] }),
    ])
  const attempt = useAttempt(fresh)
  const others = useQuery({
    queryKey: ['memories', memory.data?.source_lang, memory.data?.target_lang],
    enabled: memory.data !== undefined,
    queryFn: () =>
      api.get<Memory[]>(
        `/memories?source_lang=${memory.data?.source_lang}&target_lang=${memory.data?.target_lang}`,
      ),
  })
  const set = (fields: Partial<Search>) => {
    setSearch({ ...search, ...fields })
    setChosen(new Set())
  }
  const done = (change: MemoryChange) =>
    void message.open({
      key: 'done',
      type: 'info',
      icon: <span />,
      duration: 12,
      content: (
        <>
          {changeText(change, t)}{' '}
          <button
            type="button"
            className="link"
            onClick={() => {
              message.destroy('done')
              attempt(api.delete(`/changes/${change.id}`))
            }}
          >
            {t('memories.undo')}
          </button>
        </>
      ),
    })
  const act = (body: Record<string, unknown>) =>
    attempt(
      api.post<MemoryChange>(`/memories/${id}/changes`, body).then((change) => {
        setChosen(new Set())
        done(change)
      }),
    )
  // What failed in the background says so as soon as it is over.
  const under = useRef<number[]>([])
  const { data: { busy } = {}, dataUpdatedAt: looked } = memory
  useEffect(() => {
    if (!busy) return
    const over = under.current.filter((one) => !busy.some((change) => change.id === one))
    under.current = busy.map((change) => change.id)
    if (over.length)
      void api
        .get<MemoryChange[]>(`/memories/${id}/changes`)
        .then((changes) =>
          changes
            .filter((change) => over.includes(change.id) && change.state === 'failed')
            .forEach((change) => message.error(changeText(change, t), 12)),
        )
        .catch(() => undefined)
  }, [busy, looked, id, message, t])
  if (!memory.data)
    return (
      <Frame>
        {memory.error ? <Failure error={memory.error} again={() => void memory.refetch()} /> : <Waiting />}
      </Frame>
    )

  const first = units.data?.pages[0]
  const list = units.data?.pages.flatMap((page) => page.units) ?? []
  const mine = memory.data
  const all =
    chosen.size > 0 && chosen.size === list.length && first !== undefined && first.count > list.length
  const which = () => ({ ids: [...chosen] })
  return (
    <Frame>
      <div className="memory-view">
        <aside className="facets" aria-label={t('memories.narrow')}>
          <Link className="small link" to="/memories">
            ← {t('memories.title')}
          </Link>
          {tidy.data && (
            <FacetList
              title={t('memories.tidyTitle')}
              rows={Object.entries(tidy.data)
                .filter(([, count]) => count > 0)
                .map(([name, count]) => [name, t(`memories.tidy.${name}`), count])}
              value={search.tidy}
              onChange={(tidy) => set({ tidy })}
              blank={t('memories.tidyNone')}
            />
          )}
          {FACETS.map((facet) => {
            const rows =
              facets.data?.[facet].filter(([value]) => value !== '–' || search[facet] === '–') ?? []
            return rows.length ? (
              <FacetList
                key={facet}
                title={t(`memories.facets.${facet}`)}
                rows={rows.map(([value, count]) => [
                  value,
                  facet === 'origin' ? t(`memories.origins.${value}`, { defaultValue: value }) : value,
                  count,
                ])}
                value={search[facet] ?? ''}
                onChange={(value) => set({ [facet]: value })}
              />
            ) : null
          })}
        </aside>
        <section className="units" aria-label={mine.name}>
          <header>
            <h1 className="reading">
              <TextInPlace
                value={mine.name}
                blank={t('memories.name')}
                label={t('memories.name')}
                onChange={(name) => attempt(api.patch(`/memories/${id}`, { name }))}
              />
            </h1>
            <p className="small quiet">
              {languageName(mine.source_lang)} → {languageName(mine.target_lang)} ·{' '}
              <span className="tab">
                {t('brief.units', { count: mine.units, units: number(mine.units) })}
              </span>{' '}
              ·{' '}
              <TextInPlace
                value={mine.description}
                blank={t('memories.describe')}
                label={t('memories.describe')}
                onChange={(description) => attempt(api.patch(`/memories/${id}`, { description }))}
              />
            </p>
            <p className="small memory-acts">
              <BringIn memory={mine} attempt={attempt} onBegun={(change) => under.current.push(change.id)} />
              <a className="link" href={`/api/memories/${id}/exchange`} download>
                {t('memories.export')}
              </a>
              {(others.data ?? []).some((one) => one.id !== id) && (
                <MenuInPlace
                  title={t('memories.merge')}
                  label={t('memories.merge')}
                  value=""
                  options={(others.data ?? [])
                    .filter((one) => one.id !== id)
                    .map((one) => ({ value: String(one.id), label: one.name }))}
                  onChange={(from) => act({ kind: 'merge', from: Number(from) })}
                />
              )}
              <MenuInPlace
                title={t('memories.split')}
                label={t('memories.split')}
                value=""
                options={['client', 'subject'].map((by) => ({
                  value: by,
                  label: t(`memories.splitBy.${by}`),
                }))}
                onChange={(by) => act({ kind: 'split', by })}
              />
              <button
                type="button"
                className="link"
                aria-expanded={history}
                onClick={() => setHistory(!history)}
              >
                {t('memories.history')}
              </button>
            </p>
            {mine.busy.map((change) => (
              <Running key={change.id} change={change} attempt={attempt} />
            ))}
          </header>
          {history ? (
            <History id={id} attempt={attempt} />
          ) : (
            <>
              <div className="unit-search" role="search">
                <Input
                  allowClear
                  autoFocus
                  size="large"
                  placeholder={t('memories.search')}
                  aria-label={t('memories.search')}
                  value={search.text}
                  onChange={(event) => set({ text: event.target.value })}
                />
                <MenuInPlace
                  title={t('memories.side')}
                  label={t(`memories.sides.${search.side}`)}
                  value={search.side}
                  options={['both', 'source', 'target'].map((side) => ({
                    value: side,
                    label: t(`memories.sides.${side}`),
                  }))}
                  onChange={(side) => set({ side })}
                />
              </div>
              <div className="unit-bar small">
                <label>
                  <input
                    type="checkbox"
                    aria-label={t('memories.chooseAll')}
                    checked={chosen.size > 0 && chosen.size === list.length}
                    onChange={(event) =>
                      setChosen(new Set(event.target.checked ? list.map((unit) => unit.id) : []))
                    }
                  />{' '}
                  <span className="tab" role="status">
                    {first ? t('memories.found', { count: first.count, units: number(first.count) }) : ''}
                  </span>
                </label>
                {chosen.size > 0 && (
                  <Many
                    count={all && first ? first.count : chosen.size}
                    onSet={(values) => act({ kind: 'bulk', set: values, ...(all ? { search } : which()) })}
                    onDelete={() => act({ kind: 'delete', ...(all ? { search } : which()) })}
                  />
                )}
                {all && <span className="quiet">{t('memories.allFound')}</span>}
              </div>
              {first && !list.length ? (
                <p className="quiet unit-none">
                  {mine.units ? t('memories.none') : t('memories.emptyOne')}{' '}
                  {mine.units > 0 && (
                    <button type="button" className="link" onClick={() => set(NOTHING)}>
                      {t('memories.showAll')}
                    </button>
                  )}
                </p>
              ) : (
                <ul className="unit-list">
                  {list.map((unit, index) => (
                    <UnitRow
                      key={unit.id}
                      unit={unit}
                      memory={mine}
                      twin={list[index - 1]?.source === unit.source}
                      chosen={chosen.has(unit.id)}
                      onChoose={(on) => {
                        const next = new Set(chosen)
                        if (on) next.add(unit.id)
                        else next.delete(unit.id)
                        setChosen(next)
                      }}
                      onEdited={(change) => {
                        void fresh()
                        if (change) done(change)
                      }}
                    />
                  ))}
                </ul>
              )}
              {units.hasNextPage && (
                <Button loading={units.isFetchingNextPage} onClick={() => void units.fetchNextPage()}>
                  {t('memories.more')}
                </Button>
              )}
            </>
          )}
        </section>
      </div>
    </Frame>
  )
}

function FacetList({
  title,
  rows,
  value,
  blank,
  onChange,
}: {
  title: string
  rows: [string, string, number][]
  value: string
  blank?: string
  onChange: (value: string) => void
}) {
  return (
    <section>
      <h2>{title}</h2>
      {!rows.length && blank && <p className="small quiet">{blank}</p>}
      <ul>
        {rows.map(([name, label, count]) => (
          <li key={name}>
            <button
              type="button"
              aria-pressed={value === name}
              onClick={() => onChange(value === name ? '' : name)}
            >
              <span>{label}</span> <span className="tab">{number(count)}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}

function Many({
  count,
  onSet,
  onDelete,
}: {
  count: number
  onSet: (values: Record<string, string>) => void
  onDelete: () => void
}) {
  const { t } = useTranslation()
  return (
    <span className="many">
      {t('memories.chosen', { count, units: number(count) })}
      {(['client', 'subject'] as const).map((name) => (
        <TextInPlace
          key={name}
          value=""
          blank={t(`memories.set.${name}`)}
          label={t(`memories.set.${name}`)}
          onChange={(value) => onSet({ [name]: value })}
        />
      ))}
      <button type="button" className="link" onClick={onDelete}>
        {t('memories.deleteUnits')}
      </button>
    </span>
  )
}

function UnitRow({
  unit,
  memory,
  twin,
  chosen,
  onChoose,
  onEdited,
}: {
  unit: MemoryUnit
  memory: Memory
  twin: boolean
  chosen: boolean
  onChoose: (on: boolean) => void
  onEdited: (change: MemoryChange | null) => void
}) {
  const { t } = useTranslation()
  const [draft, setDraft] = useState<{ source: string; target: string } | null>(null)
  const [past, setPast] = useState(false)
  const attempt = useAttempt(() => undefined)
  const keep = () => {
    if (draft)
      attempt(
        api.patch<{ change: MemoryChange | null }>(`/units/${unit.id}`, draft).then(({ change }) => {
          setDraft(null)
          onEdited(change)
        }),
      )
  }
  const about = [
    [unit.changed_by || unit.author, fullDate(unit.updated_at)].filter(Boolean).join(', '),
    unit.client,
    unit.subject,
    unit.project,
    unit.file === unit.project ? null : unit.file,
    unit.origin === 'typed' ? null : t(`memories.origins.${unit.origin}`, { defaultValue: unit.origin }),
    unit.used ? t('memories.usedTimes', { count: unit.used }) : null,
  ].filter(Boolean)
  return (
    <li className={`unit${chosen ? ' chosen' : ''}${twin ? ' twin' : ''}`}>
      <input
        type="checkbox"
        aria-label={t('memories.choose', { text: unit.source })}
        checked={chosen}
        onChange={(event) => onChoose(event.target.checked)}
      />
      <div style={{ minWidth: 0 }}>
        {draft ? (
          <form
            onSubmit={(event) => {
              event.preventDefault()
              keep()
            }}
            onKeyDown={(event) => {
              if (event.key === 'Escape') {
                event.stopPropagation()
                setDraft(null)
              } else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
                event.preventDefault()
                keep()
              }
            }}
          >
            {(['source', 'target'] as const).map((side) => (
              <Input.TextArea
                key={side}
                autoFocus={side === 'target'}
                autoSize
                className="reading"
                onFocus={(event) =>
                  event.target.setSelectionRange(event.target.value.length, event.target.value.length)
                }
                aria-label={t(`memories.sides.${side}`)}
                lang={side === 'source' ? memory.source_lang : memory.target_lang}
                dir={direction(side === 'source' ? memory.source_lang : memory.target_lang)}
                value={draft[side]}
                onChange={(event) => setDraft({ ...draft, [side]: event.target.value })}
              />
            ))}
            <Button type="primary" htmlType="submit" size="small">
              {t('memories.keepUnit')}
            </Button>{' '}
            <button type="button" className="small quiet" onClick={() => setDraft(null)}>
              {t('memories.leaveUnit')}
            </button>
          </form>
        ) : (
          <button
            type="button"
            className="unit-text"
            aria-label={t('memories.editUnit', { text: unit.source })}
            onClick={() => setDraft({ source: unit.source, target: unit.target })}
          >
            {!twin && (
              <span className="reading source" lang={memory.source_lang} dir={direction(memory.source_lang)}>
                <Written value={unit.source} codes={[]} />
              </span>
            )}
            <span className="reading" lang={memory.target_lang} dir={direction(memory.target_lang)}>
              <Written value={unit.target} codes={[]} changes={unit.twin} />
            </span>
          </button>
        )}
        <p className="small quiet">
          {about.join(' · ')} ·{' '}
          <button type="button" className="plain-link" aria-expanded={past} onClick={() => setPast(!past)}>
            {t('memories.unitPast')}
          </button>
        </p>
        {unit.notes.map((note, index) => (
          <p key={index} className="small quiet">
            {note}
          </p>
        ))}
        {past && <UnitPast id={unit.id} />}
      </div>
    </li>
  )
}

function UnitPast({ id }: { id: number }) {
  const { t } = useTranslation()
  const past = useQuery({
    queryKey: ['unit', id],
    queryFn: () => api.get<{ unit: MemoryUnit; versions: UnitVersion[] }>(`/units/${id}`),
    staleTime: 0,
  })
  if (!past.data) return null
  const made: ReactNode = (
    <li className="small quiet">
      {t('memories.unitMade', {
        date: fullDate(past.data.unit.created_at),
        author: past.data.unit.author || '–',
      })}
    </li>
  )
  return (
    <ol className="unit-past">
      {past.data.versions.map((version) => (
        <li key={version.id}>
          <span className="small quiet">
            {[version.author, fullDate(version.at)].filter(Boolean).join(', ')}
          </span>{' '}
          <span className="reading">
            <Written value={version.target} codes={[]} />
          </span>
        </li>
      ))}
      {made}
    </ol>
  )
}

function History({ id, attempt }: { id: number; attempt: Attempt }) {
  const { t } = useTranslation()
  const changes = useQuery({
    queryKey: ['changes', id],
    queryFn: () => api.get<MemoryChange[]>(`/memories/${id}/changes`),
    refetchOnMount: 'always',
    refetchInterval: (query) =>
      query.state.data?.some((change) => UNDER_WAY.includes(change.state)) ? 1000 : false,
  })
  if (changes.data && !changes.data.length)
    return <p className="quiet unit-none">{t('memories.noHistory')}</p>
  return (
    <ol className="memory-past">
      {(changes.data ?? []).map((change) => (
        <li key={change.id} className={change.undone_at ? 'undone' : ''}>
          <p>
            {changeText(change, t)}{' '}
            {change.state !== 'done' && (
              <span className="quiet">({t(`memories.changeStates.${change.state}`)})</span>
            )}
          </p>
          <p className="small quiet">
            {[change.author, `${fullDate(change.created_at)}, ${time(change.created_at)}`]
              .filter(Boolean)
              .join(' · ')}
            {change.undone_at ? (
              ` · ${t('memories.undone')}`
            ) : UNDER_WAY.includes(change.state) ? null : (
              <>
                {' '}
                ·{' '}
                <button
                  type="button"
                  className="link"
                  onClick={() => attempt(api.delete(`/changes/${change.id}`))}
                >
                  {t('memories.undo')}
                </button>
              </>
            )}
          </p>
          {(change.facts.faults ?? []).length > 0 && (
            <details className="small">
              <summary>
                {t('memories.faults', { count: change.facts.faulty ?? change.facts.faults?.length })}
              </summary>
              <ul>
                {change.facts.faults?.map((fault, index) => (
                  <li key={index}>{t('memories.fault', { ...fault })}</li>
                ))}
              </ul>
            </details>
          )}
        </li>
      ))}
    </ol>
  )
}

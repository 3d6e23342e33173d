// What is done to a memory: bringing units in, how far that is, and taking an act back.
import { App, Button, Input, Modal } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { number } from '../shared/i18n'
import type { Memory, MemoryChange } from '../shared/types'

export type Attempt = (work: Promise<unknown>) => void

// Does something and shows the sentence of a refusal.
export function useAttempt(after: () => unknown): Attempt {
  const { t } = useTranslation()
  const { message } = App.useApp()
  return (work) =>
    void work
      .then(after)
      .catch((error: Error) =>
        message.error(error.message === 'offline' ? t('app.offline') : error.message, 6),
      )
}

type Table = {
  columns: { value: string; label: string }[]
  source: string | null
  target: string | null
  rows: string[][]
}

const TABLES = /\.(csv|tsv|tab|txt|xlsx|ods|docx)$/i

export function BringIn({
  memory,
  attempt,
  onBegun,
}: {
  memory: Memory
  attempt: Attempt
  onBegun?: (change: MemoryChange) => void
}) {
  const { t } = useTranslation()
  const [file, setFile] = useState<File | null>(null)
  const [different, setDifferent] = useState<'both' | 'newer'>('both')
  const [columns, setColumns] = useState({ source_column: '1', target_column: '2' })
  const [table, setTable] = useState<Table | null>(null)
  const tabular = file !== null && TABLES.test(file.name)
  // The columns of a table are guessed; where they cannot be read, their numbers are asked for.
  const choose = (chosen: File | null) => {
    setFile(chosen)
    setTable(null)
    setColumns({ source_column: '1', target_column: '2' })
    if (!chosen || !TABLES.test(chosen.name)) return
    const form = new FormData()
    form.append('file', chosen)
    void api
      .post<Table>(`/memories/${memory.id}/table`, form)
      .then((found) => {
        setTable(found)
        setColumns({ source_column: found.source ?? '', target_column: found.target ?? '' })
      })
      .catch(() => undefined)
  }
  const bring = () => {
    if (!file) return
    const form = new FormData()
    form.append('file', file)
    form.append('different', different)
    if (tabular) form.append('columns', JSON.stringify(columns))
    setFile(null)
    attempt(
      api.post<MemoryChange>(`/memories/${memory.id}/exchange`, form).then((change) => onBegun?.(change)),
    )
  }
  const used = (value?: string) => value !== undefined && Object.values(columns).includes(value)
  const incomplete =
    tabular &&
    (!columns.source_column || !columns.target_column || columns.source_column === columns.target_column)
  return (
    <>
      <label className="link small" style={{ cursor: 'pointer' }}>
        {t('memories.import')}
        <input
          type="file"
          accept=".tmx,.xlf,.xliff,.csv,.tsv,.xlsx,.ods,.docx,.xml"
          className="hidden-text"
          aria-label={`${t('memories.import')}: ${memory.name}`}
          onChange={(event) => {
            choose(event.target.files?.[0] ?? null)
            event.target.value = ''
          }}
        />
      </label>
      <Modal
        open={file !== null}
        title={t('memories.bringTitle', { file: file?.name, name: memory.name })}
        onCancel={() => setFile(null)}
        width={table ? 680 : 520}
        destroyOnHidden
        footer={
          <>
            <Button onClick={() => setFile(null)}>{t('memories.cancel')}</Button>{' '}
            <Button type="primary" disabled={incomplete} onClick={bring}>
              {t('memories.bring')}
            </Button>
          </>
        }
      >
        <p>{t('memories.sameNever')}</p>
        <fieldset className="choices">
          <legend>{t('memories.different')}</legend>
          {(['both', 'newer'] as const).map((way) => (
            <label key={way}>
              <input
                type="radio"
                name="different"
                checked={different === way}
                onChange={() => setDifferent(way)}
              />{' '}
              {t(`memories.ways.${way}`)}
            </label>
          ))}
        </fieldset>
        {tabular && (
          <div className="choices columns">
            {(['source_column', 'target_column'] as const).map((name) => (
              <label key={name}>
                <span>{t(`memories.${name}`)}</span>{' '}
                {table ? (
                  <select
                    value={columns[name]}
                    onChange={(event) => setColumns({ ...columns, [name]: event.target.value })}
                  >
                    {[{ value: '', label: '–' }, ...table.columns].map((one) => (
                      <option key={one.value} value={one.value}>
                        {one.label}
                      </option>
                    ))}
                  </select>
                ) : (
                  <Input
                    style={{ width: 70 }}
                    value={columns[name]}
                    onChange={(event) => setColumns({ ...columns, [name]: event.target.value })}
                  />
                )}
              </label>
            ))}
          </div>
        )}
        {table && (
          <div className="table-look">
            <table aria-label={t('memories.firstRows')}>
              <thead>
                <tr>
                  {table.columns.map((one) => (
                    <th key={one.value} className={used(one.value) ? 'used' : ''} scope="col">
                      {one.label}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {table.rows.map((row, index) => (
                  <tr key={index}>
                    {row.map((text, at) => (
                      <td key={at} className={used(table.columns[at]?.value) ? 'used' : ''}>
                        {text}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
      </Modal>
    </>
  )
}

export function Running({ change, attempt }: { change: MemoryChange; attempt: Attempt }) {
  const { t } = useTranslation()
  const share = change.total ? Math.min(100, Math.round((100 * change.done) / change.total)) : 0
  return (
    <p className="small running" role="status">
      <span className="gauge wide" aria-hidden>
        <i style={{ width: `${share}%` }} />
      </span>
      {change.state === 'undoing'
        ? t('memories.undoing', { share })
        : change.file
          ? t('memories.running', { file: change.file, read: number(change.facts.read ?? 0), share })
          : t(`memories.doing.${change.kind}`, { summary: change.summary, share })}
      {change.left !== null &&
        change.left > 5 &&
        ` ${change.left < 90 ? t('memories.leftSeconds', { count: Math.max(10, Math.round(change.left / 10) * 10) }) : t('memories.leftMinutes', { count: Math.round(change.left / 60) })}`}
      {change.state !== 'undoing' && (
        <>
          {' '}
          <button
            type="button"
            className="link"
            onClick={() => attempt(api.patch(`/changes/${change.id}`, {}))}
          >
            {t('memories.stop')}
          </button>
        </>
      )}
    </p>
  )
}

// An act in a line, with what it did.
export function changeText(
  change: MemoryChange,
  t: (key: string, values?: Record<string, unknown>) => string,
): string {
  const { facts } = change
  if (facts.message) return facts.message
  if (change.kind !== 'import' && (change.state === 'waiting' || change.state === 'running'))
    return t('memories.begun')
  if (change.kind === 'import')
    return t('memories.acts.import', {
      file: change.file,
      added: number(facts.added ?? 0),
      updated: number(facts.updated ?? 0),
      same: number(facts.same ?? 0),
      skipped: number(facts.skipped ?? 0),
    })
  const count = facts.read ?? facts.added ?? 1
  return t(`memories.acts.${change.kind}`, { count, units: number(count), summary: change.summary })
}

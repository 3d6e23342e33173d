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
  return (work) => void work.then(after).catch((error: Error) => message.error(error.message === 'offline' ? t('app.offline') : error.message, 6))
}

const TABLES = /\.(csv|tsv|tab|txt|xlsx|ods|docx)$/i

export function BringIn({ memory, attempt }: { memory: Memory; attempt: Attempt }) {
  const { t } = useTranslation()
  const [file, setFile] = useState<File | null>(null)
  const [different, setDifferent] = useState<'both' | 'newer'>('both')
  const [columns, setColumns] = useState({ source_column: '1', target_column: '2' })
  const table = file !== null && TABLES.test(file.name)
  const bring = () => {
    if (!file) return
    const form = new FormData()
    form.append('file', file)
    form.append('different', different)
    if (table) form.append('columns', JSON.stringify(columns))
    setFile(null)
    attempt(api.post<MemoryChange>(`/memories/${memory.id}/exchange`, form))
  }
  return (
    <>
      <label className="link small" style={{ cursor: 'pointer' }}>{t('memories.import')}<input type="file" accept=".tmx,.xlf,.xliff,.csv,.tsv,.xlsx,.ods,.docx,.xml" className="hidden-text" aria-label={`${t('memories.import')}: ${memory.name}`} onChange={(event) => { setFile(event.target.files?.[0] ?? null); event.target.value = '' }} /></label>
      <Modal open={file !== null} title={t('memories.bringTitle', { file: file?.name, name: memory.name })} onCancel={() => setFile(null)} width={520} destroyOnHidden footer={<><Button onClick={() => setFile(null)}>{t('memories.cancel')}</Button> <Button type="primary" onClick={bring}>{t('memories.bring')}</Button></>}>
        <p>{t('memories.sameNever')}</p>
        <fieldset className="choices"><legend>{t('memories.different')}</legend>
          {(['both', 'newer'] as const).map((way) => <label key={way}><input type="radio" name="different" checked={different === way} onChange={() => setDifferent(way)} /> {t(`memories.ways.${way}`)}</label>)}
        </fieldset>
        {table && <div className="choices">{(['source_column', 'target_column'] as const).map((name) => <label key={name} style={{ display: 'grid', alignItems: 'center' }}>{t(`memories.${name}`)} <Input style={{ width: 70 }} value={columns[name]} onChange={(event) => setColumns({ ...columns, [name]: event.target.value })} /></label>)}</div>}
      </Modal>
    </>
  )
}

export function Running({ change, attempt }: { change: MemoryChange; attempt: Attempt }) {
  const { t } = useTranslation()
  const share = change.total ? Math.min(100, Math.round((100 * change.done) / change.total)) : 0
  return (
    <p className="small running" role="status">
      <span className="gauge wide" aria-hidden><i style={{ width: `${share}%` }} /></span>
      {t('memories.running', { file: change.file, read: number(change.facts.read ?? 0), share })} <button type="button" className="link" onClick={() => attempt(api.patch(`/changes/${change.id}`, {}))}>{t('memories.stop')}</button>
    </p>
  )
}

// An act in a line, with what it did.
export function changeText(change: MemoryChange, t: (key: string, values?: Record<string, unknown>) => string): string {
  const { facts } = change
  if (facts.message) return facts.message
  if (change.kind === 'import') return t('memories.acts.import', { file: change.file, added: number(facts.added ?? 0), updated: number(facts.updated ?? 0), same: number(facts.same ?? 0), skipped: number(facts.skipped ?? 0) })
  const count = facts.read ?? facts.added ?? 1
  return t(`memories.acts.${change.kind}`, { count, units: number(count), summary: change.summary })
}

// The memories of a translator: their size and languages, TMX in and out.
import { useQuery } from '@tanstack/react-query'
import { App, Button, Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { Failure, Frame, Waiting } from '../shared/Frame'
import { fullDate, number } from '../shared/i18n'
import { languageName, languageOptions } from '../shared/languages'
import { ChoiceInPlace } from '../shared/parts'
import type { Memory } from '../shared/types'

export function Memories() {
  const { t } = useTranslation()
  const { message, modal } = App.useApp()
  const [fresh, setFresh] = useState<{ name: string; source_lang: string | null; target_lang: string | null } | null>(null)
  const memories = useQuery({ queryKey: ['memories'], queryFn: () => api.get<Memory[]>('/memories'), refetchOnMount: 'always' })
  const attempt = (work: Promise<unknown>) => void work.then(() => memories.refetch()).catch((error: Error) => message.error(error.message === 'offline' ? t('app.offline') : error.message))
  const bring = (memory: Memory, file: File) => {
    const form = new FormData()
    form.append('file', file)
    attempt(api.post<{ read: number; added: number; skipped: number }>(`/memories/${memory.id}/exchange`, form).then((counts) => message.success([t('memories.added', { ...counts, name: memory.name }), counts.skipped ? t('memories.skipped', { skipped: counts.skipped }) : ''].join(' '), 6)))
  }
  const remove = (memory: Memory) => void modal.confirm({ title: t('memories.removeAsk', { name: memory.name, units: number(memory.units) }), icon: null, okText: t('memories.remove'), okButtonProps: { danger: true }, cancelText: t('memories.cancel'), onOk: () => attempt(api.delete(`/memories/${memory.id}`)) })
  return (
    <Frame>
      {memories.error && !memories.data ? <Failure error={memories.error} again={() => void memories.refetch()} /> : !memories.data ? <Waiting /> : (
        <div className="sheet-view">
          <h1>{t('memories.title')}</h1>
          <p className="quiet">{memories.data.length ? t('memories.lead') : t('memories.empty')}</p>
          <ul className="lines">
            {memories.data.map((memory) => (
              <li key={memory.id} className="line" style={{ display: 'flex' }}>
                <div style={{ flex: 1, minWidth: 0 }}><h2 className="reading" style={{ fontSize: 17, margin: 0 }}>{memory.name}</h2><p className="small quiet">{languageName(memory.source_lang)} → {languageName(memory.target_lang)} · <span className="tab">{t('brief.units', { count: memory.units, units: number(memory.units) })}</span> · {t('memories.changed', { date: fullDate(memory.updated_at) })}{memory.description && ` · ${memory.description}`}</p></div>
                <label className="link small" style={{ cursor: 'pointer' }}>{t('memories.import')}<input type="file" accept=".tmx,.xml" className="hidden-text" aria-label={`${t('memories.import')}: ${memory.name}`} onChange={(event) => { const file = event.target.files?.[0]; event.target.value = ''; if (file) bring(memory, file) }} /></label>
                <a className="link small" href={`/api/memories/${memory.id}/exchange`} download>{t('memories.export')}</a>
                <button type="button" className="quiet small" aria-label={`${t('memories.remove')}: ${memory.name}`} onClick={() => remove(memory)}>{t('memories.remove')}</button>
              </li>
            ))}
            <li>{fresh ? (
              <form style={{ display: 'flex', gap: 14, alignItems: 'center', flexWrap: 'wrap' }} onSubmit={(event) => { event.preventDefault(); attempt(api.post('/memories', fresh).then(() => setFresh(null))) }}>
                <Input autoFocus required style={{ width: 260 }} placeholder={t('memories.name')} aria-label={t('memories.name')} value={fresh.name} onChange={(event) => setFresh({ ...fresh, name: event.target.value })} />
                <span style={{ minWidth: 150 }}><ChoiceInPlace label={t('brief.from')} blank={`${t('brief.from')} …`} value={fresh.source_lang} options={languageOptions} onChange={(source_lang) => setFresh({ ...fresh, source_lang })} /></span>
                <span style={{ minWidth: 150 }}><ChoiceInPlace label={t('brief.into')} blank={`${t('brief.into')} …`} value={fresh.target_lang} options={languageOptions} onChange={(target_lang) => setFresh({ ...fresh, target_lang })} /></span>
                <Button type="primary" htmlType="submit" disabled={!fresh.name.trim() || !fresh.source_lang || !fresh.target_lang}>{t('memories.make')}</Button>
              </form>
            ) : <button type="button" className="link" onClick={() => setFresh({ name: '', source_lang: null, target_lang: null })}>{t('memories.new')}</button>}</li>
          </ul>
        </div>
      )}
    </Frame>
  )
}

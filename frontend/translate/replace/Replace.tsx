// Find and replace across the project: every change is previewed, each accepted or not.
import { Button, Checkbox, Input, Modal, Radio } from 'antd'
import { useCallback, useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useQueryClient } from '@tanstack/react-query'
import { commands } from '../../shared/commands'
import { finished } from '../../operations/follow'
import { OperationProgress } from '../../operations/OperationProgress'
import { undoOperation, useOperation } from '../../operations/queries'
import { useAct } from '../../shared/useAct'
import { useOffer } from '../../shared/useOffer'
import { useOpenedByAddress } from '../../shared/useOpenedByAddress'
import { refreshText } from '../queries'
import { Places } from './Places'
import { lookFor, writeChanges, type Asked, type Found } from './queries'

const NOTHING: Asked = { find: '', with: '', regex: false, cased: false, words: false }
const SWITCHES = ['cased', 'words', 'regex'] as const

// Opened from the palette; there is no button that would stand in the way.
export function Replace({ project }: { project: number }) {
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  useOpenedByAddress(
    'replace',
    useCallback(() => setOpen(true), []),
  )
  useEffect(() =>
    commands.offerNamed([{ id: 'replace.title', name: t('replace.title'), run: () => setOpen(true) }]),
  )
  return open && <Box project={project} onClose={() => setOpen(false)} />
}

function Box({ project, onClose }: { project: number; onClose: () => void }) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const offer = useOffer('replace')
  const [asked, setAsked] = useState(NOTHING)
  const [found, setFound] = useState<Found | null>(null)
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set())
  const [confirmed, setConfirmed] = useState<'stay' | 'draft'>('stay')
  const [writing, setWriting] = useState<number | null>(null)
  const operation = useOperation(writing).data
  const set = (fields: Partial<Asked>) => {
    setAsked({ ...asked, ...fields })
    setFound(null)
  }
  const look = () =>
    void act(async () => {
      setLeft(new Set())
      setFound(await lookFor(project, asked))
    })
  const taken = (found?.places ?? []).filter(({ id }) => !left.has(id)).map(({ id }) => id)
  const undo = (id: number) =>
    act(async () => {
      await finished(await undoOperation(id))
      await refreshText(cache, project)
    })
  const write = () =>
    void act(async () => {
      const begun = await writeChanges(project, { ...asked, take: taken, confirmed })
      setWriting(begun.id)
      const made = await finished(begun)
      offer(t('replace.done', { count: made.result.count ?? 0 }), t('operations.undo'), () => undo(made.id))
      onClose()
    }).finally(() => {
      setWriting(null)
      void refreshText(cache, project)
    })
  return (
    <Modal open title={t('replace.title')} onCancel={onClose} footer={null} width={720}>
      <form
        className="replace"
        onSubmit={(event) => {
          event.preventDefault()
          look()
        }}
      >
        <label>
          {t('replace.find')}
          <Input autoFocus value={asked.find} onChange={(event) => set({ find: event.target.value })} />
        </label>
        <label>
          {t('replace.with')}
          <Input value={asked.with} onChange={(event) => set({ with: event.target.value })} />
          {asked.regex && <span className="small quiet">{t('replace.hint')}</span>}
        </label>
        <p className="presses">
          {SWITCHES.map((name) => (
            <Checkbox
              key={name}
              checked={asked[name]}
              onChange={(event) => set({ [name]: event.target.checked })}
            >
              {t(`replace.${name}`)}
            </Checkbox>
          ))}
          <Button htmlType="submit" type={found ? 'default' : 'primary'} loading={busy && !found}>
            {t('replace.look')}
          </Button>
        </p>
      </form>
      {found && <Places found={found} left={left} onLeft={setLeft} />}
      {operation && writing && <OperationProgress operation={operation} bare />}
      {found && found.count > 0 && !writing && (
        <footer className="presses">
          <Button type="primary" disabled={!taken.length} loading={busy} onClick={write}>
            {t('replace.write', { count: taken.length })}
          </Button>
          <Radio.Group
            value={confirmed}
            onChange={(event) => setConfirmed(event.target.value as 'stay' | 'draft')}
            options={(['stay', 'draft'] as const).map((value) => ({ value, label: t(`replace.${value}`) }))}
          />
        </footer>
      )}
    </Modal>
  )
}

// Find and replace across the project: every change is seen before it happens, each taken or left.
import { Button, Checkbox, Input, Modal, Radio } from 'antd'
import { useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useQueryClient } from '@tanstack/react-query'
import { commands } from '../../shared/commands'
import { useAct } from '../../shared/useAct'
import { useOffer } from '../../shared/useOffer'
import { refreshText } from '../queries'
import { Places } from './Places'
import { lookFor, takeBack, writeChanges, type Asked, type Found } from './queries'

const NOTHING: Asked = { find: '', with: '', regex: false, cased: false, words: false }
const SWITCHES = ['cased', 'words', 'regex'] as const

// Opened from the palette; there is no button that would stand in the way.
export function Replace({ project }: { project: number }) {
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  useEffect(() => commands.offerNamed([{ name: t('replace.title'), run: () => setOpen(true) }]))
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
      await takeBack(project, id)
      await refreshText(cache, project)
    })
  const write = () =>
    void act(async () => {
      const made = await writeChanges(project, { ...asked, take: taken, confirmed })
      await refreshText(cache, project)
      offer(t('replace.done', { count: made.facts.count ?? 0 }), t('done.undo'), () => undo(made.id))
      onClose()
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
      {found && found.count > 0 && (
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

// Segments translated ahead from the memories: what to take, a look at what would come from where, the
// writing, and the way back.
import { Button, Modal, Progress } from 'antd'
import { useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useQueryClient } from '@tanstack/react-query'
import { commands } from '../../shared/commands'
import type { ProjectAct } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { refreshText, type Listing } from '../queries'
import type { Choices } from '../useShown'
import { Origins } from './Origins'
import { beginLook, dropIt, isBusy, useAhead, writeIt, type Settings } from './queries'
import { SettingsForm, type Scope, type Scopes } from './SettingsForm'

const USUAL: Settings = { threshold: 75, which: 'untouched', confirms: 'none', machine: false }

interface Parts {
  project: number
  shown: Choices
  listing: Listing
  open: number | null
}

// What it can be about: the file is that of the open segment.
function scopesOf({ shown, listing, open }: Parts): Scopes {
  const segment = listing.segments.find(({ id }) => id === open)
  const inFile = listing.segments.filter((one) => one.document_id === segment?.document_id)
  return {
    project: null,
    ...(segment && listing.documents.length > 1 ? { file: inFile.map(({ id }) => id) } : {}),
    ...(shown.order.length < listing.segments.length ? { shown: shown.order } : {}),
    ...(segment ? { open: [segment.id] } : {}),
  }
}

export function Pretranslate(parts: Parts) {
  const { project } = parts
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  useEffect(() => commands.offerNamed([{ name: t('pretranslate.open'), run: () => setOpen(true) }]))
  return (
    <>
      <button type="button" onClick={() => setOpen(true)}>
        {t('pretranslate.open')}
      </button>
      {open && <Ahead project={project} scopes={scopesOf(parts)} onClose={() => setOpen(false)} />}
    </>
  )
}

interface Props {
  project: number
  scopes: Scopes
  onClose: () => void
}

function Ahead({ project, scopes, onClose }: Props) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act: attempt } = useAct()
  const [id, setId] = useState<number | null>(null)
  const [settings, setSettings] = useState(USUAL)
  const [scope, setScope] = useState<Scope>('project')
  const query = useAhead(id)
  const act = id === null ? null : (query.data ?? null)
  const state = act?.facts.state
  useEffect(() => {
    if (state === 'done') void refreshText(cache, project)
  }, [cache, project, state])
  const look = () =>
    void attempt(async () => setId((await beginLook(project, settings, scopes[scope] ?? null)).id))
  const drop = (then: () => void) =>
    void attempt(async () => {
      if (id !== null) await dropIt(id)
      await refreshText(cache, project)
      then()
    })
  const write = () =>
    void attempt(async () => {
      if (id === null) return
      await writeIt(id)
      await query.refetch()
    })
  const leave = () => (state === 'looking' || state === 'looked' ? drop(onClose) : onClose())
  return (
    <Modal open title={t('pretranslate.title')} onCancel={leave} footer={null} width={560}>
      {!act && <SettingsForm {...{ settings, scope, scopes }} onChange={setSettings} onScope={setScope} />}
      {act && <HowFar act={act} />}
      {act?.facts.trouble && <p className="small quiet">{act.facts.trouble}</p>}
      {act?.facts.origins && <Origins origins={act.facts.origins} done={state === 'done'} />}
      <footer className="presses pretranslate-acts">
        {!act && (
          <Button type="primary" onClick={look}>
            {t('pretranslate.look')}
          </Button>
        )}
        {state === 'looked' && (
          <Button type="primary" onClick={write}>
            {t('pretranslate.write')}
          </Button>
        )}
        {(state === 'looked' || state === 'failed') && (
          <Button onClick={() => drop(() => setId(null))}>{t('pretranslate.otherwise')}</Button>
        )}
        {isBusy(act) && <Button onClick={() => drop(() => setId(null))}>{t('pretranslate.stop')}</Button>}
        {state === 'done' && (
          <>
            <Button type="primary" onClick={onClose}>
              {t('pretranslate.close')}
            </Button>
            <Button onClick={() => drop(onClose)}>{t('pretranslate.takeBack')}</Button>
          </>
        )}
      </footer>
    </Modal>
  )
}

function HowFar({ act }: { act: ProjectAct }) {
  const { t } = useTranslation()
  const { state, done = 0, total = 0, written = 0, origins, message } = act.facts
  if (state === 'failed') return <p className="alarm">{message}</p>
  if (!isBusy(act)) return null
  const found = Object.entries(origins ?? {}).reduce(
    (sum, [kind, { segments }]) => (kind === 'none' ? sum : sum + segments),
    0,
  )
  const asked = act.facts.by_machine
  const lookedAt: [number, number] = asked ?? [done, total]
  const [at, of] = state === 'looking' ? lookedAt : [written, found]
  return (
    <p role="status">
      {t(asked && state === 'looking' ? 'pretranslate.asking' : `pretranslate.${state}`, {
        done: at,
        total: of,
      })}
      <Progress percent={of ? Math.round((100 * at) / of) : 0} showInfo={false} size="small" />
    </p>
  )
}

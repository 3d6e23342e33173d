// Pre-translation: settings, a preview of what would come from where, the writing, and the way back.
import { Button, Modal } from 'antd'
import { useCallback, useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useQueryClient } from '@tanstack/react-query'
import { commands } from '../../shared/commands'
import { finished } from '../../operations/follow'
import { OperationProgress } from '../../operations/OperationProgress'
import { cancelOperation, isUnderWay, undoOperation, useOperation } from '../../operations/queries'
import type { Operation } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { useOpenedByAddress } from '../../shared/useOpenedByAddress'
import { refreshText, type Listing } from '../queries'
import type { Choices } from '../useShown'
import { Origins } from './Origins'
import { acceptPreview, beginPreview, type Settings } from './queries'
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
  useOpenedByAddress(
    'pretranslate',
    useCallback(() => setOpen(true), []),
  )
  useEffect(() =>
    commands.offerNamed([
      { id: 'pretranslate.open', name: t('pretranslate.open'), run: () => setOpen(true) },
    ]),
  )
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
  const operation = useOperation(id).data ?? null
  const stage = stageOf(operation)
  useEffect(() => {
    if (stage === 'written') void refreshText(cache, project)
  }, [cache, project, stage])
  const preview = () =>
    void attempt(async () => setId((await beginPreview(project, settings, scopes[scope] ?? null)).id))
  const write = () => void attempt(async () => setId((await acceptPreview(project, id!)).id))
  const undo = () =>
    void attempt(async () => {
      await finished(await undoOperation(id!))
      await refreshText(cache, project)
      onClose()
    })
  // A preview nobody waits for is cancelled; what is being written goes on.
  const leave = () => {
    if (stage === 'previewing') void attempt(() => cancelOperation(id!))
    onClose()
  }
  const anew = () => setId(null)
  return (
    <Modal open title={t('pretranslate.title')} onCancel={leave} footer={null} width={560}>
      {!stage && <SettingsForm {...{ settings, scope, scopes }} onChange={setSettings} onScope={setScope} />}
      {operation && isUnderWay(operation) && (
        <OperationProgress operation={operation} bare onCancelled={anew} />
      )}
      {stage === 'failed' && <p className="alarm">{operation?.message}</p>}
      {operation?.result.trouble && <p className="small quiet">{operation.result.trouble}</p>}
      {operation?.result.origins && <Origins origins={operation.result.origins} done={stage === 'written'} />}
      <footer className="presses pretranslate-acts">
        {!stage && (
          <Button type="primary" onClick={preview}>
            {t('pretranslate.look')}
          </Button>
        )}
        {stage === 'previewed' && (
          <Button type="primary" onClick={write}>
            {t('pretranslate.write')}
          </Button>
        )}
        {(stage === 'previewed' || stage === 'failed') && (
          <Button onClick={anew}>{t('pretranslate.otherwise')}</Button>
        )}
        {stage === 'written' && (
          <>
            <Button type="primary" onClick={onClose}>
              {t('pretranslate.close')}
            </Button>
            <Button onClick={undo}>{t('pretranslate.takeBack')}</Button>
          </>
        )}
      </footer>
    </Modal>
  )
}

type Stage = 'previewing' | 'previewed' | 'writing' | 'written' | 'failed'

// How far it is; nothing before it was begun, or once it was cancelled.
function stageOf(operation: Operation | null): Stage | null {
  if (!operation || operation.state === 'cancelled') return null
  if (operation.state === 'failed') return 'failed'
  const preview = operation.kind === 'pretranslation_preview'
  if (isUnderWay(operation)) return preview ? 'previewing' : 'writing'
  return preview ? 'previewed' : 'written'
}

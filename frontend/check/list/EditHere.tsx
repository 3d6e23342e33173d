// The segment of a finding, written in where the finding stands: the card of Translate with all it offers.
import { useCallback, useEffect, useMemo, useRef, useSyncExternalStore } from 'react'
import { App } from 'antd'
import { Waiting } from '../../shared/Notices'
import type { Project, Segment } from '../../shared/types'
import { Card } from '../../translate/card/Card'
import type { CardHandle } from '../../translate/card/cardHandle'
import type { Store } from '../../translate/store'
import { useStore } from '../../translate/useStore'
import { useTextKeys, type Actions } from '../../translate/useTextKeys'
import { useSegment } from '../queries'
import '../../translate/translate.css'

interface Props {
  project: Project
  segment: number
  onClose: () => void
}

export function EditHere({ project, segment, onClose }: Props) {
  const { data } = useSegment(segment)
  return data ? <Loaded project={project} loaded={data} onClose={onClose} /> : <Waiting />
}

function Loaded({ project, loaded, onClose }: Omit<Props, 'segment'> & { loaded: Segment }) {
  const segments = useMemo(() => [loaded], [loaded])
  const store = useStore(project.id, segments)
  if (!store) return <Waiting />
  return <Open {...{ project, store, onClose }} id={loaded.id} />
}

interface OpenProps {
  project: Project
  store: Store
  id: number
  onClose: () => void
}

function Open({ project, store, id, onClose }: OpenProps) {
  const card = useRef<CardHandle>(null)
  const { message } = App.useApp()
  useSyncExternalStore(store.subscribe, store.snapshot)
  // What was written is on its way to the server when the list asks again.
  const close = useCallback(() => void store.outbox.emptied().then(onClose, onClose), [onClose, store])
  const finish = useCallback(() => {
    if (card.current?.finish()) close()
  }, [close])
  useCardKeys(card, finish, close)
  return (
    <div className="edit-here">
      <Card
        ref={card}
        segment={store.byId.get(id)!}
        {...{ store, project }}
        cutting={false}
        onCut={() => {}}
        onLeaveCut={() => {}}
        onFinish={finish}
        onSay={(text) => void message.info(text)}
        onEntry={() => {}}
      />
    </div>
  )
}

type CardOfList = React.RefObject<CardHandle | null>

// The keys of Translate that have to do with one segment.
function useCardKeys(card: CardOfList, finish: () => void, close: () => void) {
  const actions = useMemo<Actions>(
    () => ({
      finish,
      close,
      nextProposal: () => card.current?.choose(1),
      previousProposal: () => card.current?.choose(-1),
      takeProposal: () => card.current?.take(),
      takeWords: () => card.current?.takeWords(),
      carry: () => card.current?.carry(),
      spelling: () => card.current?.spelling(),
      offers: () => card.current?.offers(),
      missingCode: () => card.current?.missingCode(),
      takeSource: () => card.current?.take(0),
      clear: () => card.current?.clear(),
    }),
    [card, close, finish],
  )
  const numbered = useMemo(
    () => ({
      proposal: (number: number) => card.current?.take(number),
      term: (number: number) => card.current?.putTerm(number),
      termbase: (number: number) => card.current?.addTerm(number),
    }),
    [card],
  )
  useTextKeys(actions, numbered)
  useEffect(() => card.current?.focus(), [card])
}

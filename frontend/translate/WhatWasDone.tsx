// What was done: in the text since it was opened, and to the project as a whole; each taken back from here.
import { Modal } from 'antd'
import { useTranslation } from 'react-i18next'
import { Activity } from '../operations/Activity'
import { plain } from '../shared/content'
import type { Segment } from '../shared/types'
import { useAct } from '../shared/useAct'
import type { Doing, Written } from './undoHistory'
import type { Store } from './store'

interface Props {
  store: Store
  onTakeBack: (doing: Doing) => void
  onClose: () => void
}

export function WhatWasDone({ store, onTakeBack, onClose }: Props) {
  const { t } = useTranslation()
  const { act } = useAct()
  const list = store.undoHistory.list()
  return (
    <Modal open width={640} footer={null} title={t('undoHistory.title')} onCancel={onClose} destroyOnHidden>
      {list.length === 0 && <p className="quiet">{t('undoHistory.none')}</p>}
      <ol className="undoHistory">
        {list.map((doing, index) => (
          <li key={list.length - index}>
            <span className="quiet tab">{doing.number}</span>
            <Told doing={doing} segment={store.byId.get(doing.id)} />
            {isThere(doing, store.byId.get(doing.id)) ? (
              <button type="button" className="link small" onClick={() => onTakeBack(doing)}>
                {t('undoHistory.takeBack')}
              </button>
            ) : (
              <span className="small quiet">{t('undoHistory.changedSince')}</span>
            )}
          </li>
        ))}
      </ol>
      <Activity subject="projects" id={store.project} attempt={act} />
    </Modal>
  )
}

// Only what still stands as it was left can be taken back by itself.
const isThere = ({ after }: Written, segment?: Segment) => segment?.target === after.target

function Told({ doing: { before, after }, segment }: { doing: Written; segment?: Segment }) {
  const { t } = useTranslation()
  const what = after.state === 'translated' && before.target === after.target ? 'confirmed' : 'written'
  const text = (value: string) => plain(value, segment?.codes)
  return (
    <span>
      <span className="small quiet">{t(`undoHistory.${after.target ? what : 'cleared'}`)} </span>
      <span className="reading">
        {before.target !== after.target && before.target && <del>{text(before.target)}</del>}{' '}
        {text(after.target)}
      </span>
    </span>
  )
}

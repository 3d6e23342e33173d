// Words in the memories of the project and in the project itself, with what stands around them.
import { Input } from 'antd'
import { useDeferredValue, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { MenuInPlace } from '../../shared/parts/MenuInPlace'
import type { Project, Segment } from '../../shared/types'
import { Hits } from '../../shared/parts/Hits'
import { isEnough } from '../asked'
import { useConcordance } from '../queries'
import { useRemoteConcordance, withRemote } from '../remoteProposals'
import { RemoteStatus } from '../RemoteStatus'
import type { Asked } from './useCompanion'

const SIDES = ['source', 'target']
const WAYS = ['phrase', 'words', 'alike']

interface Props {
  project: Project
  asked: Asked
  open: Segment | null
  onInsert: (value: string) => void
  onOpen: (id: number) => void
}

export function Search({ project, asked, open, onInsert, onOpen }: Props) {
  const { t } = useTranslation()
  const [text, setText] = useState(asked.words.text)
  const [side, setSide] = useState<string>(asked.words.side)
  const [way, setWay] = useState('phrase')
  const wanted = useDeferredValue(text.trim())
  const found = useConcordance(project.id, { text: wanted, side, way })
  const far = useRemoteConcordance(project.id, { text: wanted, side, way })
  return (
    <div className="search-view">
      <Input
        allowClear
        autoFocus={asked.turn > 0}
        value={text}
        placeholder={t('companion.searchFor')}
        aria-label={t('companion.searchFor')}
        onChange={(event) => setText(event.target.value)}
      />
      <p className="small">
        <MenuInPlace
          title={t('companion.searchSide')}
          label={t(`companion.sides.${side}`)}
          value={side}
          options={SIDES.map((value) => ({ value, label: t(`companion.sides.${value}`) }))}
          onChange={setSide}
        />
        {' · '}
        <MenuInPlace
          title={t('companion.way')}
          label={t(`companion.ways.${way}`)}
          value={way}
          options={WAYS.map((value) => ({ value, label: t(`companion.ways.${value}`) }))}
          onChange={setWay}
        />
      </p>
      <Hits
        found={isEnough(wanted) && found.data ? withRemote(found.data, far.data) : undefined}
        languages={project}
        onInsert={open ? onInsert : undefined}
        onOpen={onOpen}
      />
      <RemoteStatus sources={far.data?.sources} />
    </div>
  )
}

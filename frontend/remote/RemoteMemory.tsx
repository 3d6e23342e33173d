// A memory on another server: where it is, and what it holds, looked up there.
import { Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { languageName } from '../shared/languages'
import { Hits } from '../shared/parts/Hits'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import { TextInPlace } from '../shared/parts/TextInPlace'
import type { Memory, RemoteSource } from '../shared/types'
import { useRested } from '../shared/useRested'
import { useFound } from './queries'
import { WhereItIs } from './WhereItIs'

const SIDES = ['source', 'target'] as const

interface Props {
  memory: Memory
  source: RemoteSource
  onRename: (name: string) => void
  onChanged: () => Promise<unknown>
}

export function RemoteMemory({ memory, source, onRename, onChanged }: Props) {
  const { t } = useTranslation()
  const [text, setText] = useState('')
  const [side, setSide] = useState<string>('source')
  const wanted = useRested(text.trim())
  const found = useFound(source.id, wanted, side)
  return (
    <div className="sheet-view far-memory">
      <h1 className="reading">
        <TextInPlace
          value={memory.name}
          blank={t('memories.name')}
          label={t('memories.name')}
          onChange={onRename}
        />
      </h1>
      <p className="small quiet">
        {languageName(memory.source_lang)} → {languageName(memory.target_lang)}
      </p>
      <WhereItIs kind="memory" source={source} onChanged={onChanged} />
      <div className="unit-search" role="search">
        <Input
          allowClear
          autoFocus
          size="large"
          placeholder={t('remote.search')}
          aria-label={t('remote.search')}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <MenuInPlace
          title={t('memories.side')}
          label={t(`memories.sides.${side}`)}
          value={side}
          options={SIDES.map((value) => ({ value, label: t(`memories.sides.${value}`) }))}
          onChange={setSide}
        />
      </div>
      {found.error && <p className="alarm small">{found.error.message}</p>}
      {wanted.length > 1 && !found.error && (
        <Hits
          found={found.data}
          languages={{ source_lang: memory.source_lang, target_lang: memory.target_lang }}
        />
      )}
    </div>
  )
}

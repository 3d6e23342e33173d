// The target of confirmed pairs: an existing or new memory, or a file.
import { App } from 'antd'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useNavigate } from 'react-router'
import { useMemoriesOfPair } from '../brief/queries'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import { keys } from '../shared/queryKeys'
import type { Alignment } from '../shared/types'
import { useAct } from '../shared/useAct'
import { finished } from '../operations/follow'
import { undoOperation } from '../operations/queries'
import { useOffer } from '../shared/useOffer'
import { changeAlignment, fileAddress, give } from './queries'

export function PairExport({ alignment }: { alignment: Alignment }) {
  const { t } = useTranslation()
  const { source_lang, target_lang, counts } = alignment
  const { data: memories = [] } = useMemoriesOfPair(source_lang, target_lang)
  // The name of one that is made when it is given.
  const [fresh, setFresh] = useState<string | null>(null)
  const { choose, put } = useGiving(alignment, fresh, setFresh)
  const options = memories.map(({ id, name }) => ({ value: String(id), label: name }))
  const chosen = fresh ?? (alignment.memory_id === null ? null : String(alignment.memory_id))
  return (
    <>
      {t('align.into')}{' '}
      <ChoiceInPlace
        label={t('align.memory')}
        blank={t('align.newMemory')}
        value={chosen}
        options={options}
        onChange={choose}
        onAdd={setFresh}
        addLabel={(name) => name}
      />{' '}
      <button type="button" className="link" disabled={counts.confirmed === 0} onClick={put}>
        {t('align.give')}
      </button>{' '}
      <Given alignment={alignment} />
      {counts.confirmed > 0 && (
        <>
          <a className="link" href={fileAddress(alignment.id, 'tmx')} download>
            {t('align.asTmx')}
          </a>{' '}
          <a className="link" href={fileAddress(alignment.id, 'xlsx')} download>
            {t('align.asXlsx')}
          </a>
        </>
      )}
    </>
  )
}

// What became of it, with the way back.
function Given({ alignment }: { alignment: Alignment }) {
  const { t } = useTranslation()
  const { act } = useAct()
  const cache = useQueryClient()
  const { gift, memory_id, id } = alignment
  if (!gift) return null
  const { operation, state, added, same, updated, left } = gift
  const takeBack = () =>
    void act(async () => {
      await finished(await undoOperation(operation))
      await cache.invalidateQueries({ queryKey: keys.alignment(id) })
    })
  return (
    <span role="status">
      {state === 'done' ? (
        <>
          <Link className="plain-link" to={`/memories/${memory_id}`}>
            {t('align.gift', { added, same, updated, left })}
          </Link>{' '}
          <button type="button" className="link" onClick={takeBack}>
            {t('align.takeBack')}
          </button>
        </>
      ) : (
        t('align.giftBusy')
      )}{' '}
    </span>
  )
}

function useGiving(alignment: Alignment, fresh: string | null, setFresh: (name: string | null) => void) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const go = useNavigate()
  const cache = useQueryClient()
  const { act } = useAct()
  const offer = useOffer('aligned')
  const refresh = () => cache.invalidateQueries({ queryKey: keys.alignment(alignment.id) })
  const choose = (value: string) =>
    void act(async () => {
      setFresh(null)
      await changeAlignment(alignment.id, { memory_id: Number(value) })
      await refresh()
    })
  const put = () =>
    void act(async () => {
      const name = fresh ?? alignment.memory ?? alignment.name
      const known = fresh === null && alignment.memory_id !== null
      const { memory_id: into } = await give(
        alignment.id,
        known ? { memory_id: alignment.memory_id! } : { name },
      )
      setFresh(null)
      await refresh()
      void message.destroy()
      offer(
        t('align.given', { count: alignment.counts.confirmed, name }),
        t('align.toMemory'),
        () => void go(`/memories/${into}`),
      )
    })
  return { choose, put }
}

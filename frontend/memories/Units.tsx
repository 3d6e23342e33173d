// The units of a memory that were found, some of them chosen for an act on many.
import type { useInfiniteQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { useTranslation } from 'react-i18next'
import type { Memory, Operation } from '../shared/types'
import { ChosenBar } from './ChosenBar'
import type { FoundUnits, UnitSearch } from './queries'
import { UnitRow } from './UnitRow'
import { UnitSearchLine } from './UnitSearchLine'

type Found = ReturnType<typeof useInfiniteQuery<FoundUnits>>

interface Props {
  memory: Memory
  search: UnitSearch
  found: Pick<Found, 'hasNextPage' | 'isFetchingNextPage' | 'fetchNextPage'> & {
    data?: { pages: FoundUnits[] }
  }
  chosen: ReadonlySet<number>
  setChosen: (chosen: ReadonlySet<number>) => void
  act: (body: Record<string, unknown>) => void
  onNarrow: (fields: Partial<UnitSearch>) => void
  onShowAll: () => void
  onEdited: (operation: Operation | null) => void
}

function withOrWithout(chosen: ReadonlySet<number>, id: number, on: boolean) {
  const next = new Set(chosen)
  if (on) next.add(id)
  else next.delete(id)
  return next
}

export function Units(props: Props) {
  const { memory, search, found, chosen, setChosen, act, onNarrow, onShowAll, onEdited } = props
  const { t } = useTranslation()
  const pages = found.data?.pages ?? []
  const list = pages.flatMap((page) => page.units)
  const count = pages[0]?.count
  const none = count !== undefined && !list.length
  return (
    <>
      <UnitSearchLine search={search} onNarrow={onNarrow} />
      <ChosenBar {...{ list, count, chosen, setChosen, search, act }} right={memory.right} />
      {none ? (
        <p className="quiet unit-none">
          {t(memory.units ? 'memories.none' : 'memories.emptyOne')}{' '}
          {memory.units > 0 && (
            <button type="button" className="link" onClick={onShowAll}>
              {t('memories.showAll')}
            </button>
          )}
        </p>
      ) : (
        <ul className="unit-list">
          {list.map((unit, index) => (
            <UnitRow
              key={unit.id}
              unit={unit}
              memory={memory}
              twin={list[index - 1]?.source === unit.source}
              chosen={chosen.has(unit.id)}
              onChoose={(on) => setChosen(withOrWithout(chosen, unit.id, on))}
              onEdited={onEdited}
            />
          ))}
        </ul>
      )}
      {found.hasNextPage && (
        <Button loading={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
          {t('memories.more')}
        </Button>
      )}
    </>
  )
}

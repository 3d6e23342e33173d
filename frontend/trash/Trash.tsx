// Everything thrown away in the last thirty days: brought back from here.
import { keys } from '../shared/queryKeys'
import { useQuery } from '@tanstack/react-query'
import { App } from 'antd'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { fullDate, time } from '../shared/i18n'

interface Item {
  kind: 'project' | 'document' | 'memory' | 'units' | 'rules'
  id: number
  name: string
  place: string | null
  at: string
}

export function Trash() {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const list = useQuery({
    queryKey: keys.trash,
    queryFn: () => api.get<{ items: Item[] }>('/trash_items'),
    refetchOnMount: 'always',
  })
  const bringBack = async (item: Item) => {
    try {
      await api.patch(`/trash_items/${item.kind}-${item.id}`)
      await list.refetch()
      void message.success(t('trash.back'))
    } catch (error) {
      void message.error((error as Error).message)
    }
  }
  const items = list.data?.items
  if (!items)
    return (
      <Frame>
        {list.error ? <Failure error={list.error} again={() => void list.refetch()} /> : <Waiting />}
      </Frame>
    )
  return (
    <Frame>
      <div className="sheet-view">
        <h1>{t('trash.title')}</h1>
        <p className="quiet">{t(items.length ? 'trash.lead' : 'trash.none')}</p>
        <ul className="lines">
          {items.map((item) => (
            <li key={`${item.kind}-${item.id}`} className="line">
              <span>
                <b>{nameOf(item, t)}</b>{' '}
                <span className="quiet small">
                  {[item.kind === 'units' ? '' : t(`trash.kinds.${item.kind}`), item.place]
                    .filter(Boolean)
                    .join(' · ')}{' '}
                  · {fullDate(item.at)}, {time(item.at)}
                </span>
              </span>
              <button
                type="button"
                className="link"
                aria-label={`${t('trash.bring')}: ${nameOf(item, t)}`}
                onClick={() => void bringBack(item)}
              >
                {t('trash.bring')}
              </button>
            </li>
          ))}
        </ul>
      </div>
    </Frame>
  )
}

function nameOf(item: Item, t: (key: string, values?: Record<string, unknown>) => string): string {
  if (item.kind === 'units') return t('trash.units', { count: Number(item.name) })
  return item.name || t('trash.kinds.rules')
}

// Inside a termbase: search first, facets beside, entries to read and to edit in place; what was done;
// candidates.
import { useDeferredValue, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams, useSearchParams } from 'react-router'
import { RemoteTermbase } from '../remote/RemoteTermbase'
import { api } from '../shared/api'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { useAct } from '../shared/useAct'
import { useOffer } from '../shared/useOffer'
import { Activity } from '../operations/Activity'
import { finished } from '../operations/follow'
import { undoOperation } from '../operations/queries'
import { Candidates } from './candidates/Candidates'
import { Entries } from './Entries'
import { deleteEntries, useEntries, useRefresh, useTermbase, type TermSearch } from './queries'
import { TermbaseHead } from './TermbaseHead'
import { TermFacetLists } from './TermFacetLists'
import './termbases.css'
import { may } from '../sharing/rights'

const NOTHING: TermSearch = { text: '', lang: '', subject: '', status: '', look: '' }

export function TermbaseView() {
  const { t } = useTranslation()
  const { id: number, part = 'entries' } = useParams()
  const id = Number(number)
  // A link may say what to look for.
  const [params] = useSearchParams()
  const [search, setSearch] = useState({ ...NOTHING, text: params.get('text') ?? '' })
  const query = useTermbase(id)
  const found = useEntries(id, useDeferredValue(search))
  const refresh = useRefresh(id)
  const offer = useOffer('terms')
  const { act } = useAct()
  const termbase = query.data
  if (!termbase) {
    const again = () => void query.refetch()
    return <Frame>{query.error ? <Failure error={query.error} again={again} /> : <Waiting />}</Frame>
  }
  const narrow = (fields: Partial<TermSearch>) => setSearch({ ...search, ...fields })
  const attempt = (work: () => Promise<unknown>) =>
    void act(async () => {
      await work()
      await refresh()
    })
  if (termbase.remote)
    return (
      <Frame>
        <RemoteTermbase
          termbase={termbase}
          source={termbase.remote}
          onRename={(name) => attempt(() => api.patch(`/termbases/${id}`, { name }))}
          onChanged={refresh}
        />
      </Frame>
    )
  const remove = (ids: number[]) =>
    attempt(async () => {
      const done = await deleteEntries(id, ids)
      offer(t('termbases.deleted', { count: ids.length }), t('termbases.undo'), () =>
        attempt(async () => finished(await undoOperation(done.id))),
      )
    })
  return (
    <Frame>
      <div className="termbase-view">
        {part === 'entries' ? (
          <TermFacetLists facets={termbase.facets} search={search} onNarrow={narrow} />
        ) : (
          <div />
        )}
        <section aria-label={termbase.name}>
          <TermbaseHead {...{ termbase, attempt, part }} />
          {part === 'done' && (
            <Activity
              subject="termbases"
              id={id}
              stamp={query.dataUpdatedAt}
              readOnly={!may(termbase.right, 'add')}
              attempt={attempt}
              none={t('operations.none')}
            />
          )}
          {part === 'candidates' && <Candidates termbase={termbase} />}
          {part === 'entries' && (
            <Entries
              {...{ termbase, search, attempt, remove }}
              found={found}
              onNarrow={narrow}
              onShowAll={() => setSearch(NOTHING)}
            />
          )}
        </section>
      </div>
    </Frame>
  )
}

// The entries of a termbase that fit a search, a form for a new one on top, and what is done to
// those chosen.
import type { InfiniteData, UseInfiniteQueryResult } from '@tanstack/react-query'
import { Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { languageName } from '../shared/languages'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import type { TermbasePage } from '../shared/types'
import { EntryForm } from './EntryForm'
import { EntryRow } from './EntryRow'
import { ManyEntries } from './ManyEntries'
import { addEntry, type FoundEntries, type TermSearch } from './queries'
import { may } from '../sharing/rights'

interface Props {
  termbase: TermbasePage
  search: TermSearch
  found: UseInfiniteQueryResult<InfiniteData<FoundEntries>>
  attempt: (work: () => Promise<unknown>) => void
  remove: (ids: number[]) => void
  onNarrow: (fields: Partial<TermSearch>) => void
  onShowAll: () => void
}

export function Entries({ termbase, search, found, attempt, remove, onNarrow, onShowAll }: Props) {
  const { t } = useTranslation()
  const [adding, setAdding] = useState(false)
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set())
  const reading = !may(termbase.right, 'edit')
  const pages = found.data?.pages ?? []
  const entries = pages.flatMap((page) => page.entries)
  const total = pages[0]?.total ?? 0
  const choose = (id: number, on: boolean) => {
    const next = new Set(chosen)
    if (on) next.add(id)
    else next.delete(id)
    setChosen(next)
  }
  return (
    <>
      <SearchLine {...{ termbase, search, onNarrow }} />
      <div className="entries-head">
        <span role="status">
          {t('termbases.entries', { count: total, entries: number(total) })}
          {chosen.size > 0 && (
            <>
              {' · '}
              <ManyEntries
                {...{ termbase, attempt }}
                ids={[...chosen]}
                onDelete={() => {
                  remove([...chosen])
                  setChosen(new Set())
                }}
              />
            </>
          )}
        </span>
        {may(termbase.right, 'add') && (
          <button type="button" className="link" onClick={() => setAdding(true)}>
            {t('termbases.newEntry')}
          </button>
        )}
      </div>
      {adding && (
        <EntryForm
          languages={termbase.languages.length ? termbase.languages.slice(0, 3) : ['en', 'it']}
          onLeave={() => setAdding(false)}
          onKeep={(fields) =>
            attempt(async () => {
              await addEntry(termbase.id, fields)
              setAdding(false)
            })
          }
        />
      )}
      {!entries.length && found.isSuccess && (
        <p className="quiet">
          {t(termbase.entries ? 'termbases.noneFits' : 'termbases.noEntries')}{' '}
          {termbase.entries > 0 && (
            <button type="button" className="plain-link" onClick={onShowAll}>
              {t('termbases.showAll')}
            </button>
          )}
        </p>
      )}
      <ul className="entries">
        {entries.map((entry) => (
          <EntryRow
            key={entry.id}
            {...{ entry, attempt, reading }}
            chosen={chosen.has(entry.id)}
            onChoose={(on) => choose(entry.id, on)}
            onDelete={() => remove([entry.id])}
          />
        ))}
      </ul>
      {found.hasNextPage && (
        <button type="button" className="link" onClick={() => void found.fetchNextPage()}>
          {t('termbases.more')}
        </button>
      )}
    </>
  )
}

function SearchLine({ termbase, search, onNarrow }: Pick<Props, 'termbase' | 'search' | 'onNarrow'>) {
  const { t } = useTranslation()
  const anywhere = { value: '', label: t('termbases.everyLanguage') }
  const languages = termbase.languages.map((tag) => ({ value: tag, label: languageName(tag) }))
  return (
    <div className="term-search">
      <Input
        size="large"
        allowClear
        placeholder={t('termbases.search')}
        aria-label={t('termbases.search')}
        value={search.text}
        onChange={(event) => onNarrow({ text: event.target.value })}
      />
      <MenuInPlace
        title={t('termbases.searchIn')}
        label={search.lang ? languageName(search.lang) : anywhere.label}
        value={search.lang}
        options={[anywhere, ...languages]}
        onChange={(lang) => onNarrow({ lang })}
      />
    </div>
  )
}

// All projects: searched, filtered by state, client, languages and year, summed up; finished, deleted and
// restored from here.
import { Button } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { money } from '../count/figures'
import { Frame } from '../shared/Frame'
import { number } from '../shared/i18n'
import { Failure, Waiting } from '../shared/Notices'
import type { ProjectList } from '../shared/types'
import { FilterBar } from './FilterBar'
import { ProjectRow } from './ProjectRow'
import { useProjectList } from './queries'
import { Selection } from './Selection'
import { useFilters, type Filters } from './useFilters'
import './projects.css'

const COLUMNS = [
  ['due', 'due'],
  ['project', 'name'],
  ['progress', null],
  ['words', 'words'],
  ['state', null],
  ['quote', null],
] as const

export function Projects() {
  const filters = useFilters()
  const list = useProjectList(filters.asked)
  if (list.data) return <Listed list={list.data} filters={filters} />
  return (
    <Frame>
      {list.error ? <Failure error={list.error} again={() => void list.refetch()} /> : <Waiting />}
    </Frame>
  )
}

function Listed({ list, filters }: { list: ProjectList; filters: Filters }) {
  const { t } = useTranslation()
  const go = useNavigate()
  const [chosen, setChosen] = useState<number[]>([])
  const selected = list.projects.filter(({ id }) => chosen.includes(id))
  const select = (id: number, on: boolean) =>
    setChosen((before) => (on ? [...before, id] : before.filter((one) => one !== id)))
  return (
    <Frame>
      <div className="projects">
        <header>
          <h1>{t('projects.title')}</h1>
          <p className="quiet">{sumOf(list, t)}</p>
          <Button href={`/api/projects?${withForm(filters.asked)}`} download>
            {t('projects.export')}
          </Button>
          <Button type="primary" onClick={() => void go('/')}>
            {t('projects.new')}
          </Button>
        </header>
        <FilterBar {...{ list, filters }} />
        {list.projects.length ? (
          <>
            <Headings filters={filters} />
            <ul className="project-list" aria-label={t('projects.title')}>
              {list.projects.map((row) => (
                <ProjectRow
                  key={row.id}
                  row={row}
                  state={list.state}
                  selected={chosen.includes(row.id)}
                  onSelect={(on) => select(row.id, on)}
                />
              ))}
            </ul>
          </>
        ) : (
          <p className="quiet none">{t(list.all ? 'projects.none' : 'projects.noneAtAll')}</p>
        )}
        {selected.length > 0 && (
          <Selection state={list.state} selected={selected} onDone={() => setChosen([])} />
        )}
      </div>
    </Frame>
  )
}

function Headings({ filters }: { filters: Filters }) {
  const { t } = useTranslation()
  return (
    <div className="headings small quiet">
      {COLUMNS.map(([column, order]) => {
        const name = t(`projects.columns.${column}`)
        if (!order) return <span key={column}>{name}</span>
        const now = filters.order === order
        return (
          <button
            type="button"
            key={column}
            aria-pressed={now}
            aria-label={t('projects.order', { column: name })}
            onClick={() => filters.set('order', order === 'due' ? '' : order)}
          >
            {name}
            {now && ' ↓'}
          </button>
        )
      })}
    </div>
  )
}

const withForm = (asked: string) => [asked, 'as=xlsx'].filter(Boolean).join('&')

function sumOf({ all, total }: ProjectList, t: ReturnType<typeof useTranslation>['t']) {
  return [
    t('projects.sum', { shown: total.projects, all }),
    t('projects.words', { count: total.words, words: number(total.words) }),
    ...total.worth.map(({ amount, currency }) => money(amount, currency)),
  ].join(' · ')
}

// Search, the filters beside it, and the states with how many projects are in each.
import { Input, Select } from 'antd'
import { useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { languageName } from '../shared/languages'
import type { ProjectList, ProjectState } from '../shared/types'
import type { Field, Filters } from './useFilters'

const STATES: ProjectState[] = ['progress', 'delivered', 'finished', 'new', 'template', 'trash']
const PAUSE = 250

export function FilterBar({ list, filters }: { list: ProjectList; filters: Filters }) {
  const { t } = useTranslation()
  const { clients, pairs, years } = list.choices
  return (
    <>
      <div className="filter-bar" role="search">
        <SearchField filters={filters} />
        <Choice
          {...{ filters }}
          name="client_id"
          label={t('projects.client')}
          all={t('projects.allClients')}
          options={clients.map(({ id, name }) => ({ value: String(id), label: name }))}
        />
        <Choice
          {...{ filters }}
          name="pair"
          label={t('projects.languages')}
          all={t('projects.allLanguages')}
          options={pairs.map((pair) => ({
            value: pair,
            label: pair.split('>').map(languageName).join(' → '),
          }))}
        />
        <Choice
          {...{ filters }}
          name="year"
          label={t('projects.year')}
          all={t('projects.allYears')}
          options={years.map((year) => ({ value: String(year), label: String(year) }))}
        />
      </div>
      <div className="state-chips" role="group" aria-label={t('projects.state')}>
        {STATES.map((state) => (
          <button
            type="button"
            key={state}
            aria-pressed={list.state === state}
            onClick={() => filters.setState(state)}
          >
            {t(`projects.states.${state}`)} <span className="tab">{list.counts[state]}</span>
          </button>
        ))}
        {filters.filtered && (
          <button type="button" className="plain-link" onClick={filters.clear}>
            {t('projects.clear')}
          </button>
        )}
      </div>
    </>
  )
}

// What is typed is asked for when the user pauses.
function SearchField({ filters }: { filters: Filters }) {
  const { t } = useTranslation()
  const asked = filters.value('text')
  const [typed, setTyped] = useState(asked)
  const [seen, setSeen] = useState(asked)
  if (seen !== asked) {
    setSeen(asked)
    setTyped(asked)
  }
  const { set } = filters
  useEffect(() => {
    if (typed === asked) return
    const timer = setTimeout(() => set('text', typed), PAUSE)
    return () => clearTimeout(timer)
  }, [typed, asked, set])
  return (
    <Input
      type="search"
      aria-label={t('projects.search')}
      placeholder={t('projects.search')}
      value={typed}
      allowClear
      onChange={(event) => setTyped(event.target.value)}
    />
  )
}

interface ChoiceProps {
  filters: Filters
  name: Field
  label: string
  all: string
  options: { value: string; label: string }[]
}

function Choice({ filters, name, label, all, options }: ChoiceProps) {
  return (
    <Select
      aria-label={label}
      value={filters.value(name)}
      popupMatchSelectWidth={false}
      showSearch={{ optionFilterProp: 'label' }}
      options={[{ value: '', label: all }, ...options]}
      onChange={(value) => filters.set(name, value)}
    />
  )
}

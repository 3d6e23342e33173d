// What narrows the units of a memory: what deserves a look, clients, subjects, authors, projects, origins.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { number } from '../shared/i18n'
import { FACETS, type Facet, type UnitSearch } from './queries'

// Units without a value.
const WITHOUT = '–'

interface Props {
  facets?: Record<Facet, [string, number][]>
  tidy?: Record<string, number>
  search: UnitSearch
  onNarrow: (fields: Partial<UnitSearch>) => void
}

export function Facets({ facets, tidy, search, onNarrow }: Props) {
  const { t } = useTranslation()
  const labelOf = (facet: Facet, value: string) =>
    facet === 'origin' ? t(`memories.origins.${value}`, { defaultValue: value }) : value
  return (
    <aside className="facets" aria-label={t('memories.narrow')}>
      <Link className="small link" to="/memories">
        ← {t('memories.title')}
      </Link>
      {tidy && (
        <FacetList
          title={t('memories.tidyTitle')}
          rows={Object.entries(tidy)
            .filter(([, count]) => count > 0)
            .map(([name, count]) => [name, t(`memories.tidy.${name}`), count])}
          value={search.tidy}
          onChange={(kind) => onNarrow({ tidy: kind })}
          blank={t('memories.tidyNone')}
        />
      )}
      {FACETS.map((facet) => {
        const wanted = search[facet] ?? ''
        const rows = facets?.[facet].filter(([value]) => value !== WITHOUT || wanted === WITHOUT) ?? []
        if (!rows.length) return null
        return (
          <FacetList
            key={facet}
            title={t(`memories.facets.${facet}`)}
            rows={rows.map(([value, count]) => [value, labelOf(facet, value), count])}
            value={wanted}
            onChange={(value) => onNarrow({ [facet]: value })}
          />
        )
      })}
    </aside>
  )
}

interface ListProps {
  title: string
  // Value, label and how many units.
  rows: [string, string, number][]
  value: string
  blank?: string
  onChange: (value: string) => void
}

function FacetList({ title, rows, value, blank, onChange }: ListProps) {
  return (
    <section>
      <h2>{title}</h2>
      {!rows.length && blank && <p className="small quiet">{blank}</p>}
      <ul>
        {rows.map(([name, label, count]) => (
          <li key={name}>
            <button
              type="button"
              aria-pressed={value === name}
              onClick={() => onChange(value === name ? '' : name)}
            >
              <span>{label}</span> <span className="tab">{number(count)}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}

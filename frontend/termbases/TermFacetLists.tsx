// What narrows the entries of a termbase: what deserves a look, subject fields, status.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { number } from '../shared/i18n'
import type { TermFacets } from '../shared/types'
import type { TermSearch } from './queries'

interface Props {
  facets: TermFacets
  search: TermSearch
  onNarrow: (fields: Partial<TermSearch>) => void
}

export function TermFacetLists({ facets, search, onNarrow }: Props) {
  const { t } = useTranslation()
  const lists = [
    ['look', t('termbases.looks.title'), facets.looks, (name: string) => t(`termbases.looks.${name}`)],
    ['subject', t('termbases.subject'), facets.subjects, (name: string) => name],
    ['status', t('termbases.status'), facets.statuses, (name: string) => t(`terms.statuses.${name}`)],
  ] as const
  return (
    <aside className="facets" aria-label={t('termbases.narrow')}>
      <Link className="small link" to="/termbases">
        ← {t('termbases.title')}
      </Link>
      {lists.map(([facet, title, counts, labelOf]) => {
        const rows = Object.entries(counts)
        if (!rows.length) return null
        return (
          <section key={facet}>
            <h2>{title}</h2>
            <ul>
              {rows.map(([name, count]) => (
                <li key={name}>
                  <button
                    type="button"
                    aria-pressed={search[facet] === name}
                    onClick={() => onNarrow({ [facet]: search[facet] === name ? '' : name })}
                  >
                    <span>{labelOf(name)}</span> <span className="tab">{number(count)}</span>
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )
      })}
    </aside>
  )
}

// Where an entry stands in this project and how it was translated there: each way shows its segments alone.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { placesQuery } from '../queries'

export interface Only {
  name: string
  ids: Set<number>
}

interface Props {
  project: number
  entry: number
  term: string
  onOnly: (only: Only) => void
}

export function TermPlaces({ project, entry, term, onOnly }: Props) {
  const { t } = useTranslation()
  const { data } = useQuery(placesQuery(project, entry))
  if (!data?.segments.length) return null
  const only = (name: string, ids: number[]) => () => onOnly({ name, ids: new Set(ids) })
  return (
    <div className="term-places">
      <h3 className="small quiet">{t('terms.inProject')}</h3>
      <ul>
        <li>
          <button type="button" className="plain-link" onClick={only(term, data.segments)}>
            {t('terms.places', { count: data.segments.length })}
          </button>
        </li>
        {data.renderings.map((way) => (
          <li key={way.term}>
            <button
              type="button"
              className="plain-link"
              onClick={only(`${term} → ${way.term ?? t('terms.otherwise')}`, way.segments)}
            >
              {way.term ?? t('terms.otherwise')}
            </button>{' '}
            <span className="small quiet tab">{way.segments.length}</span>
          </li>
        ))}
      </ul>
    </div>
  )
}

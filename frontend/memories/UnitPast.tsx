// What a unit said before, and when it was made.
import { useTranslation } from 'react-i18next'
import { fullDate } from '../shared/i18n'
import { Written } from '../shared/Written'
import { useUnitPast } from './queries'

export function UnitPast({ id }: { id: number }) {
  const { t } = useTranslation()
  const past = useUnitPast(id).data
  if (!past) return null
  const { unit, versions } = past
  return (
    <ol className="unit-past">
      {versions.map((version) => (
        <li key={version.id}>
          <span className="small quiet">
            {[version.author, fullDate(version.at)].filter(Boolean).join(', ')}
          </span>{' '}
          <span className="reading">
            <Written value={version.target} codes={[]} />
          </span>
        </li>
      ))}
      <li className="small quiet">
        {t('memories.unitMade', { date: fullDate(unit.created_at), author: unit.author || '–' })}
      </li>
    </ol>
  )
}

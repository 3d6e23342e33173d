// Every place that would change, before and after, each taken or left.
import { Checkbox } from 'antd'
import { useTranslation } from 'react-i18next'
import type { Found, Place } from './queries'

interface Props {
  found: Found
  left: ReadonlySet<number>
  onLeft: (left: ReadonlySet<number>) => void
}

export function Places({ found, left, onLeft }: Props) {
  const { t } = useTranslation()
  const turn = (id: number, on: boolean) => {
    const next = new Set(left)
    if (on) next.delete(id)
    else next.add(id)
    onLeft(next)
  }
  return (
    <>
      <p role="status" className="small quiet">
        {t('replace.found', { count: found.count })}
        {found.count > found.places.length && ` · ${t('replace.first', { count: found.places.length })}`}
      </p>
      <ol className="places">
        {found.places.map((place) => (
          <li key={place.id}>
            <Checkbox
              aria-label={t('replace.take', { number: place.position })}
              checked={!left.has(place.id)}
              onChange={(event) => turn(place.id, event.target.checked)}
            />
            <Changed place={place} />
          </li>
        ))}
      </ol>
    </>
  )
}

function Changed({ place }: { place: Place }) {
  return (
    <span>
      <del className="quiet">{place.before}</del>
      <br />
      <ins>{place.after}</ins>
    </span>
  )
}

// What is not done before a delivery: each kind with how many there are, its first places and a way there.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { number } from '../shared/i18n'
import type { Project, Readiness } from '../shared/types'

type OpenItems = Readiness['items'][string]

interface Props {
  readiness: Readiness
  project: Project
}

export function NotReady({ readiness, project }: Props) {
  const { t } = useTranslation()
  return (
    <>
      <h2>{t('deliver.not')}</h2>
      {readiness.unchecked > 0 && (
        <p>
          {t('deliver.unchecked', { count: readiness.unchecked })}{' '}
          <Link className="link" to={`/projects/${project.id}/check`}>
            {t('deliver.checkNow')}
          </Link>
        </p>
      )}
      {readiness.out.map((round) => (
        <p key={round.number}>
          {t('deliver.out', { number: round.number, reviser: round.reviser })}{' '}
          <Link className="link" to={`/projects/${project.id}/review`}>
            {t('stages.review')}
          </Link>
        </p>
      ))}
      <ul className="lines">
        {Object.entries(readiness.items).map(([name, item]) => (
          <li key={name}>
            <OpenItem {...{ name, item, project }} />
          </li>
        ))}
      </ul>
    </>
  )
}

// A kind of open item: how many there are, and its first places once it is opened.
function OpenItem({ name, item, project }: { name: string; item: OpenItems; project: Project }) {
  const { t } = useTranslation()
  const several = project.documents.length > 1
  return (
    <details className="open-item">
      <summary className="line">
        <b>{t(`deliver.${name}`, { count: item.count })}</b>
        <span className="quiet tab">{t('deliver.words', { words: number(item.words) })}</span>
      </summary>
      <ul className="places">
        {item.places.map((place) => (
          <li key={place.id}>
            <span className="quiet tab">{place.number}</span>
            <span>
              <Link className="plain-link reading" to={`/projects/${project.id}/translate#${place.id}`}>
                {place.text}
              </Link>
              {several && <span className="quiet small file"> {place.file}</span>}
            </span>
          </li>
        ))}
      </ul>
      {item.count > item.places.length && (
        <p className="small quiet more-places">
          {t('deliver.more', { count: item.count - item.places.length })}
        </p>
      )}
    </details>
  )
}

// What reads otherwise than when it was delivered last, in the text.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { Differing } from '../shared/parts/Differing'
import { useSinceLast } from './queries'

const SHOWN = 5

export function SinceLast({ project, stamp }: { project: number; stamp: number }) {
  const { t } = useTranslation()
  const { data } = useSinceLast(project, stamp)
  const [all, setAll] = useState(false)
  if (!data?.number) return null
  const rows = all ? data.rows : data.rows.slice(0, SHOWN)
  return (
    <section aria-label={t('deliver.since', { number: data.number })}>
      <h2>{t('deliver.since', { number: data.number })}</h2>
      <p className="small quiet">
        {t('deliver.changedSince', { count: data.count })}
        {data.count > 0 && (
          <>
            {' '}
            <a className="link" href={`/api/projects/${project}/delivery_differences?as=file`} download>
              {t('deliver.changesAsFile')}
            </a>
          </>
        )}
      </p>
      <ul className="lines since-last">
        {rows.map((row) => (
          <li key={row.segment_id}>
            <Link className="quiet tab plain-link" to={`/projects/${project}/translate#${row.segment_id}`}>
              {row.number}
            </Link>
            <span className="reading">
              <span className="quiet">{row.source}</span>
              <br />
              <Differing text={row.now} differences={row.differences} />
            </span>
          </li>
        ))}
      </ul>
      {rows.length < data.rows.length && (
        <button type="button" className="link small" onClick={() => setAll(true)}>
          {t('deliver.more', { count: data.rows.length - rows.length })}
        </button>
      )}
    </section>
  )
}

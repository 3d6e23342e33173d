// A pass that a colleague was asked to read: the text, without the project around it.
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { languageName } from '../shared/languages'
import { Pass } from './pass/Pass'
import { usePassages } from './pass/queries'
import './review.css'

export function GuestPass() {
  const { t } = useTranslation()
  const id = Number(useParams().id)
  const { data } = usePassages(id, 'begin')
  return (
    <Frame>
      <div className="review passing alone">
        {data && (
          <aside>
            <p className="small quiet">{t('review.pass.from', { owner: data.project.owner })}</p>
            <p>
              <b>{data.project.name}</b>
            </p>
            <p className="small">
              {languageName(data.project.source_lang)} → {languageName(data.project.target_lang)}
            </p>
            <p className="small">{t(`review.rights.${data.right}`)}</p>
            <p className="small">
              <Link className="plain-link" to="/">
                {t('review.pass.leave')}
              </Link>
            </p>
          </aside>
        )}
        <section aria-label={t('review.title')}>
          <Pass round={id} />
        </section>
      </div>
    </Frame>
  )
}

// The changes of a round before and after, and its remarks, in text order.
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import { direction } from '../../shared/languages'
import { Differing } from '../../shared/parts/Differing'
import type { Note, Project, ReviewChange } from '../../shared/types'
import { Written } from '../../shared/Written'
import { RemarkLine } from '../pass/RemarkLine'

export function BeforeAndAfter({ changes, project }: { changes: ReviewChange[]; project: Project }) {
  const { t } = useTranslation()
  const { source_lang: from, target_lang: into } = project
  return (
    <section>
      <h2>{t('review.reported.before')}</h2>
      {changes.length === 0 && <p className="quiet">{t('review.reported.none')}</p>}
      <ol>
        {changes.map((change) => (
          <li key={change.id}>
            <p className="small quiet">
              {change.file} · {change.number} · {t(`review.kinds.${change.kind}`)} ·{' '}
              {t(`review.decided.${change.decision}`)}
            </p>
            <p className="reading receding" lang={from ?? undefined} dir={direction(from)}>
              <Written value={change.source} codes={change.codes} />
            </p>
            <p className="reading" lang={into ?? undefined} dir={direction(into)}>
              <Differing text={change.after_text} differences={change.differences} />
            </p>
          </li>
        ))}
      </ol>
    </section>
  )
}

export function Remarks({ remarks }: { remarks: Note[] }) {
  const { t } = useTranslation()
  return (
    <section>
      <h2>{t('review.reported.remarks')}</h2>
      {remarks.length === 0 && <p className="quiet">{t('review.reported.none')}</p>}
      <ol>
        {remarks.map((remark) => (
          <li key={remark.id}>
            <p className="small quiet">
              {remark.file} · {remark.number}
            </p>
            <p className="reading receding">{plain(remark.source ?? '')}</p>
            <ul className="remarks">
              <RemarkLine remark={remark} />
            </ul>
            {remark.answer && (
              <p className="small">
                {remark.answered_by}: {remark.answer}
              </p>
            )}
          </li>
        ))}
      </ol>
    </section>
  )
}

// The figures of a round: words, edit distance, points; by kind, severity and file.
import { useTranslation } from 'react-i18next'
import { number } from '../../shared/i18n'
import type { ReviewRound } from '../../shared/types'
import type { Amount } from '../queries'

export function Figures({ round, amount }: { round: ReviewRound; amount: Amount }) {
  const { t } = useTranslation()
  const { words, changed, segments, sent, distance, score } = amount
  const said: [string, string, string?][] = [
    [t(round.way === 'inside' ? 'review.reported.wordsRead' : 'review.reported.words'), number(words)],
    [t('review.reported.changed'), number(changed)],
    [t('review.reported.segments'), `${number(segments)} / ${number(sent)}`],
    [
      t('review.reported.distance'),
      number(distance.edits),
      t('review.reported.distanceHint', { percent: number(distance.percent) }),
    ],
    [t('review.reported.points'), number(score.points), t('review.reported.pointsHint')],
    [t('review.reported.perThousand'), score.per_thousand === null ? '–' : number(score.per_thousand)],
  ]
  return (
    <dl className="figures">
      {said.map(([name, value, hint]) => (
        <div key={name}>
          <dt className="small quiet">{name}</dt>
          <dd>
            <b className="tab">{value}</b> {hint && <span className="small quiet">{hint}</span>}
          </dd>
        </div>
      ))}
    </dl>
  )
}

// rows: name, how many, points where there are any.
export function Counted({ title, rows }: { title: string; rows: [string, number, number?][] }) {
  const { t } = useTranslation()
  if (!rows.length) return null
  const hasPoints = rows[0].length > 2
  return (
    <table>
      <caption>{title}</caption>
      <thead>
        <tr>
          <th>
            <span className="hidden-text">{title}</span>
          </th>
          <th className="tab">{t('review.reported.count')}</th>
          {hasPoints && <th className="tab">{t('review.reported.pointsOf')}</th>}
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, ...values]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            {values.map((value, index) => (
              <td key={index} className="tab">
                {number(value ?? 0)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

export function ByFile({ files }: { files: Amount['files'] }) {
  const { t } = useTranslation()
  if (!files.length) return null
  return (
    <table>
      <caption>{t('review.reported.files')}</caption>
      <thead>
        <tr>
          <th>{t('review.reported.file')}</th>
          <th className="tab">{t('review.reported.changesOf')}</th>
          <th className="tab">{t('review.reported.changed')}</th>
          <th className="tab">{t('review.reported.distance')}</th>
        </tr>
      </thead>
      <tbody>
        {files.map(({ name, changes, words, distance }) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td className="tab">{number(changes)}</td>
            <td className="tab">{number(words)}</td>
            <td className="tab">
              {number(distance.edits)} · {number(distance.percent)} %
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

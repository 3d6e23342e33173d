// How the words are divided among several names: how many each gets, from where to where.
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import type { Division } from './queries'

interface Props {
  names: string[]
  division: Division | undefined
  error: Error | null
}

export function Shares({ names, division, error }: Props) {
  const { t } = useTranslation()
  if (error) return <p className="small alarm">{error.message}</p>
  if (!division || division.shares.length !== names.length) return null
  const border = t(`review.shares.borders.${division.borders}`)
  return (
    <div className="shares small" role="status">
      <ul>
        {division.shares.map(({ words, from, to }, index) => (
          <li key={index}>
            {t('review.shares.line', {
              name: names[index],
              words: number(words),
              from: `${from.file} ${from.number}`,
              to: `${to.file} ${to.number}`,
            })}
          </li>
        ))}
      </ul>
      <p className="quiet">{t(division.near ? 'review.shares.near' : 'review.shares.far', { border })}</p>
    </div>
  )
}

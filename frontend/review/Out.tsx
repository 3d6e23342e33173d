// A round whose sheet is out: the sheet again, and the place to drop it when it is back.
import { useTranslation } from 'react-i18next'
import { fullDate } from '../shared/i18n'
import { DropFiles } from '../shared/parts/DropFiles'
import type { Project, ReviewRound } from '../shared/types'
import { useBringing } from './useBringing'
import { sheetAddress } from './queries'

interface Props {
  project: Project
  round: ReviewRound
  onBack: (id: number) => void
}

export function Out({ project, round, onBack }: Props) {
  const { t } = useTranslation()
  const bring = useBringing(project.id, onBack)
  return (
    <>
      <h1>{t('review.outTo', { reviser: round.reviser })}</h1>
      <p className="quiet">
        {t('review.outSince', { date: fullDate(round.created_at), count: round.sent })} ·{' '}
        <a className="plain-link" href={sheetAddress(round.id)} download>
          {round.sheet}
        </a>
      </p>
      <DropFiles onFiles={bring}>{t('review.drop')}</DropFiles>
    </>
  )
}

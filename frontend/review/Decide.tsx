// Takes a change or leaves it; what is decided can be decided anew. The first button of each holds the focus while
// the list is walked.
import type { KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { KEYS } from '../shared/keys'
import { Key } from '../shared/parts/Key'
import type { ReviewChange } from '../shared/types'
import type { Deciding } from './useDeciding'

interface Props {
  change: ReviewChange
  deciding: Deciding
  first: boolean
  onKeyDown: (event: KeyboardEvent) => void
}

export function Decide({ change, deciding, first, onKeyDown }: Props) {
  const { t } = useTranslation()
  const walked = { 'data-walked': true, tabIndex: first ? 0 : -1, onKeyDown }
  if (change.decision !== 'open')
    return (
      <p className="acts">
        <span className="quiet">{t(`review.decisions.${change.decision}`)}</span>
        <button
          type="button"
          className="quiet-link small"
          {...walked}
          onClick={() => deciding.decide([change], 'open')}
        >
          {t('review.anew')}
        </button>
      </p>
    )
  const leave = (
    <>
      {t('review.leave')} <Key keys={KEYS.leave} />
    </>
  )
  if (change.refused)
    return (
      <p className="acts">
        <button type="button" {...walked} onClick={() => deciding.decide([change], 'left')}>
          {leave}
        </button>
      </p>
    )
  return (
    <p className="acts">
      <button type="button" className="fix" {...walked} onClick={() => deciding.decide([change], 'taken')}>
        {t('review.take')} <Key keys={KEYS.take} />
      </button>
      <button type="button" tabIndex={-1} onClick={() => deciding.decide([change], 'left')}>
        {leave}
      </button>
    </p>
  )
}

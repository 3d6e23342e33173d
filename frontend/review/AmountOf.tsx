// How much was changed, and of which kinds: a kind is a way to narrow the list.
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import type { ChangeKind } from '../shared/types'
import type { Amount } from './queries'

const KINDS: ChangeKind[] = ['wording', 'terms', 'marks', 'codes']
const HUNDRED = 100

interface Props {
  amount: Amount
  kind: ChangeKind | null
  onKind: (kind: ChangeKind | null) => void
}

export function AmountOf({ amount, kind, onKind }: Props) {
  const { t } = useTranslation()
  const { words, changed, segments, sent, kinds } = amount
  const share = words ? Math.round((HUNDRED * 10 * changed) / words) / 10 : 0
  return (
    <p className="amount-of small">
      {KINDS.filter((one) => kinds[one]).map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={kind === one}
          onClick={() => onKind(kind === one ? null : one)}
        >
          {t(`review.kinds.${one}`)} <span className="tab">{number(kinds[one]!)}</span>
        </button>
      ))}
      <span className="quiet">
        {t('review.amount', { share: number(share), segments: number(segments), sent: number(sent) })}
      </span>
    </p>
  )
}

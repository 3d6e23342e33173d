// Words by state as a bar.
import { useTranslation } from 'react-i18next'
import { number } from '../i18n'
import type { State } from '../types'

const STATE_INKS: [string, State[], string][] = [
  ['final', ['final', 'reviewed'], 'var(--ink5)'],
  ['translated', ['translated'], 'var(--ink4)'],
  ['draft', ['draft'], 'var(--ink2)'],
]

export function StateBar({ words }: { words: Partial<Record<State, number>> }) {
  const { t } = useTranslation()
  const total = Object.values(words).reduce((sum, one) => sum + (one ?? 0), 0) || 1
  const parts = STATE_INKS.map(([name, states, ink]) => ({
    name,
    ink,
    amount: states.reduce((sum, state) => sum + (words[state] ?? 0), 0),
  })).filter((part) => part.amount)
  const label = parts
    .map((part) => `${number(part.amount)} ${t(`states.${part.name}`)}`)
    .concat(`${number(words.untouched ?? 0)} ${t('states.untouched')}`)
    .join(', ')
  return (
    <div className="bar" role="img" aria-label={label}>
      {parts.map((part) => (
        <span key={part.name} style={{ width: `${(100 * part.amount) / total}%`, background: part.ink }} />
      ))}
    </div>
  )
}

// Between source and target: the terms of the source with what they are in the target language, each with its
// key; what is not to be used is struck through.
import { useTranslation } from 'react-i18next'
import { shown, termKey } from '../../shared/keys'
import type { Pair } from './terms'

interface Props {
  pairs: Pair[]
  onPut: (number: number) => void
  onEntry: (entry: number) => void
}

export function TermPairs({ pairs, onPut, onEntry }: Props) {
  const { t } = useTranslation()
  if (!pairs.length) return null
  return (
    <ul className="term-pairs" aria-label={t('terms.label')}>
      {pairs.map((pair, index) => (
        <li key={`${pair.entry} ${pair.term}`}>
          <button
            type="button"
            tabIndex={-1}
            className="quiet"
            aria-label={pair.entry === null ? undefined : t('terms.open', { term: pair.term })}
            title={pair.entry === null ? pair.termbase : undefined}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => pair.entry !== null && onEntry(pair.entry)}
          >
            {pair.term}
          </button>{' '}
          {pair.usable[0] && (
            <button
              type="button"
              tabIndex={-1}
              aria-label={t('terms.put', { term: pair.usable[0].text })}
              aria-keyshortcuts={termKey(index + 1)}
              title={shown(termKey(index + 1))}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => onPut(index + 1)}
            >
              {pair.usable[0].text} {index < 9 && <kbd>{index + 1}</kbd>}
            </button>
          )}
          {pair.avoid.map((term) => (
            <span key={term.text} className="avoid" title={t(`terms.statuses.${term.status ?? 'none'}`)}>
              <s>{term.text}</s>
              <span className="hidden-text">{t(`terms.statuses.${term.status ?? 'none'}`)}</span>
            </span>
          ))}
        </li>
      ))}
    </ul>
  )
}

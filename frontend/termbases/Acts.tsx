// What was done to a termbase; each act can be undone from here.
import { useTranslation } from 'react-i18next'
import { fullDate, time } from '../shared/i18n'
import type { TermbaseAct } from '../shared/types'
import { undoAct, useActs } from './queries'

interface Props {
  termbase: number
  attempt: (work: () => Promise<unknown>) => void
}

export function Acts({ termbase, attempt }: Props) {
  const { t } = useTranslation()
  const acts = useActs(termbase).data
  if (acts && !acts.length) return <p className="quiet">{t('termbases.noPast')}</p>
  return (
    <ol className="term-acts">
      {(acts ?? []).map((act) => (
        <li key={act.id} className={act.undone_at ? 'undone' : ''}>
          <p>{t(`termbases.acts.${act.kind}`, { count: act.count, summary: act.summary })}</p>
          <p className="small quiet">
            {[act.author, `${fullDate(act.created_at)}, ${time(act.created_at)}`].filter(Boolean).join(' · ')}
            {' · '}
            {act.undone_at ? (
              t('termbases.undone')
            ) : (
              <button type="button" className="link" onClick={() => attempt(() => undoAct(act.id))}>
                {t('termbases.undo')}
              </button>
            )}
          </p>
          <Faults act={act} />
        </li>
      ))}
    </ol>
  )
}

export function Faults({ act }: { act: TermbaseAct }) {
  const { t } = useTranslation()
  const faults = act.facts.faults ?? []
  if (!faults.length) return null
  return (
    <details className="small">
      <summary>{t('termbases.faults', { count: faults.length })}</summary>
      <ul>
        {faults.map((fault) => (
          <li key={`${fault.line} ${fault.message}`}>
            {fault.line === null ? fault.message : t('termbases.fault', { ...fault })}
          </li>
        ))}
      </ul>
    </details>
  )
}

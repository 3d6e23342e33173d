// The ledger: what was sent when, for whom, how much, and what came of it.
import type { TFunction } from 'i18next'
import { useTranslation } from 'react-i18next'
import { fullDate, number, time } from '../../shared/i18n'
import type { MachineRequest } from '../../shared/types'

const outcomeText = (outcome: string, t: TFunction) => {
  if (outcome === 'ok') return null
  return outcome === 'sent' ? t('machine.sentOnly') : outcome
}

export function Sent({ sent }: { sent: MachineRequest[] }) {
  const { t } = useTranslation()
  return (
    <section>
      <h2>{t('machine.sent')}</h2>
      {sent.length === 0 && <p className="quiet">{t('machine.nothingSent')}</p>}
      {sent.length > 0 && (
        <p>
          <a className="link small" href="/api/machine_ledger" download>
            {t('machine.ledgerOut')}
          </a>
        </p>
      )}
      <ul className="lines small">
        {sent.map((one) => (
          <li key={one.id}>
            <span className="quiet tab">
              {fullDate(one.created_at)}, {time(one.created_at)}
            </span>{' '}
            {[
              one.service,
              one.client,
              t('machine.amount', { count: one.texts, characters: number(one.characters) }),
              one.cost && `${number(Number(one.cost))} ${one.currency}`,
              one.given !== null &&
                one.given < one.texts &&
                t('machine.came', { count: one.given, texts: one.texts }),
              outcomeText(one.outcome, t),
            ]
              .filter(Boolean)
              .join(' · ')}
          </li>
        ))}
      </ul>
    </section>
  )
}

// What was written and is not on the server: how many texts wait and why; and those that cannot go in as they
// are, each with what can be done about it.
import { useState, useSyncExternalStore } from 'react'
import { useTranslation } from 'react-i18next'
import type { Blocked, Entry, Outbox } from '../shared/outbox'

export function useUnsent(outbox: Outbox) {
  return useSyncExternalStore(outbox.subscribe, outbox.snapshot)
}

export const blockedText = (blocked: Blocked) => `unsent.${blocked}`

export function Unsent({
  outbox,
  open,
  onGo,
}: {
  outbox: Outbox
  open: number | null
  onGo: (id: number) => void
}) {
  const { t } = useTranslation()
  const { waiting, blocked, troubled } = useUnsent(outbox)
  const elsewhere = troubled.filter((entry) => entry.segment !== open || entry.trouble?.kind !== 'changed')
  if (!(blocked && waiting) && !elsewhere.length) return null
  return (
    <div className="waiting-line" role="status">
      {blocked && waiting > 0 && (
        <p>
          {t(blockedText(blocked), { count: waiting })}{' '}
          {blocked === 'signed-out' && (
            <button type="button" className="link" onClick={() => window.location.reload()}>
              {t('sign.go')}
            </button>
          )}
        </p>
      )}
      {elsewhere.map((entry) => (
        <Stuck key={entry.segment} entry={entry} outbox={outbox} onGo={onGo} />
      ))}
    </div>
  )
}

function Stuck({ entry, outbox, onGo }: { entry: Entry; outbox: Outbox; onGo: (id: number) => void }) {
  const { t } = useTranslation()
  const [copied, setCopied] = useState(false)
  const copy = () => void navigator.clipboard.writeText(entry.target).then(() => setCopied(true))
  return (
    <p>
      {t(`unsent.${entry.trouble!.kind}`, { number: entry.number, message: entry.trouble!.message })}{' '}
      <q className="reading">{entry.target}</q>{' '}
      {entry.trouble!.kind === 'changed' ? (
        <button type="button" className="link" onClick={() => onGo(entry.segment)}>
          {t('unsent.choose')}
        </button>
      ) : (
        <>
          <button type="button" className="link" onClick={copy}>
            {copied ? t('unsent.copied') : t('unsent.copy')}
          </button>{' '}
          <button type="button" className="link" onClick={() => outbox.dismiss(entry.segment)}>
            {t('unsent.dismiss')}
          </button>
        </>
      )}
    </p>
  )
}

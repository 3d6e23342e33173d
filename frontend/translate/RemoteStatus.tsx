// Servers that have not answered yet, and those that failed, with the reason.
import { useTranslation } from 'react-i18next'
import type { RemoteSource } from './remoteProposals'

export function RemoteStatus({ sources }: { sources: RemoteSource[] | undefined }) {
  const { t } = useTranslation()
  const said = (sources ?? []).filter((one) => one.state !== 'answered')
  if (!said.length) return null
  return (
    <p className="quietly small quiet" role="status">
      {said
        .map(({ name, state, said: why }) =>
          state === 'asking' ? t('remote.asking', { name }) : `${name}: ${why}`,
        )
        .join(' · ')}
    </p>
  )
}

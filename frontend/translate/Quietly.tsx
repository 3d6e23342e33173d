// What is not to disturb: servers that are still being asked, and those that gave nothing and why.
import { useTranslation } from 'react-i18next'
import type { RemoteSource } from './remoteProposals'

export function Quietly({ sources }: { sources: RemoteSource[] | undefined }) {
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

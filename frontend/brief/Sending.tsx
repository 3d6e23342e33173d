// Files on their way to the server: how much of them has gone.
import { Progress } from 'antd'
import { useTranslation } from 'react-i18next'

export function Sending({ share, count }: { share: number | null; count: number }) {
  const { t } = useTranslation()
  if (share === null) return null
  return (
    <div className="sending" role="status">
      <span className="small quiet">{t('brief.sending', { count })}</span>
      <Progress percent={Math.round(100 * share)} size="small" aria-label={t('brief.sending', { count })} />
    </div>
  )
}

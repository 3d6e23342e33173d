// What stands in the place of a view that waits or failed.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'

// Shown only when waiting takes long enough to be noticed.
export function Waiting() {
  const { t } = useTranslation()
  return (
    <div className="notice late" role="status">
      {t('app.loading')}
    </div>
  )
}

export function Failure({ error, again }: { error: unknown; again?: () => void }) {
  const { t } = useTranslation()
  const message = error instanceof Error ? error.message : t('app.offline')
  return (
    <div className="notice" role="alert">
      <p>{t('app.failed', { message })}</p>
      {again && (
        <button type="button" className="link" onClick={again}>
          {t('app.again')}
        </button>
      )}
      <Link className="link" to="/">
        {t('app.toToday')}
      </Link>
    </div>
  )
}

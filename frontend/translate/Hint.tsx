// Hints of the first time, one at a time; each goes away for good.
import { useTranslation } from 'react-i18next'
import { KEYS, shown } from '../shared/keys'
import { useSettings } from '../shared/settings'
import type { Act } from '../shared/useAct'
import { usePrefer } from '../shared/usePrefer'

const HINTS = ['finish', 'number', 'sheet'] as const

export function Hint({ act }: { act: Act }) {
  const { t } = useTranslation()
  const prefer = usePrefer(act)
  const { hints_gone: gone = [] } = useSettings().user.preferences
  const next = HINTS.find((hint) => !gone.includes(hint))
  if (!next) return null
  return (
    <p className="hint small">
      {t(`hints.${next}`, { key: shown(next === 'number' ? '' : KEYS[next]) })}{' '}
      <button type="button" className="link" onClick={() => prefer({ hints_gone: [...gone, next] })}>
        {t('hints.gone')}
      </button>
    </p>
  )
}

// Conditions kept by name: taken again with a press, kept as they are now, forgotten with a way back.
import { Button, Input } from 'antd'
import { useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { commands } from '../../shared/commands'
import { useSettings } from '../../shared/settings'
import type { NamedConditions } from '../../shared/shapes'
import { useAct } from '../../shared/useAct'
import { useOffer } from '../../shared/useOffer'
import { usePrefer } from '../../shared/usePrefer'
import { ANYTHING, type Conditions } from './conditions'

interface Props {
  conditions: Conditions
  onChange: (conditions: Conditions) => void
}

// What was kept earlier may lack conditions that came since.
const whole = ({ conditions }: NamedConditions): Conditions => ({ ...ANYTHING, ...conditions })

export function Names({ conditions, onChange }: Props) {
  const { t } = useTranslation()
  const { act } = useAct()
  const prefer = usePrefer(act)
  const offer = useOffer('filter')
  const { filters = [] } = useSettings().user.preferences
  const [name, setName] = useState('')
  const keep = () => {
    const others = filters.filter((one) => one.name !== name.trim())
    prefer({ filters: [...others, { name: name.trim(), conditions }] })
    setName('')
  }
  const forget = (gone: NamedConditions) => {
    prefer({ filters: filters.filter((one) => one !== gone) })
    offer(t('filter.forgotten', { name: gone.name }), t('app.undo'), () => prefer({ filters }))
  }
  return (
    <fieldset className="across">
      <legend>{t('filter.kept')}</legend>
      <ul className="named-conditions">
        {filters.map((one) => (
          <li key={one.name}>
            <button type="button" className="link" onClick={() => onChange(whole(one))}>
              {one.name}
            </button>
            <button
              type="button"
              className="link quiet"
              aria-label={t('filter.forget', { name: one.name })}
              onClick={() => forget(one)}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
      <p className="presses">
        <Input
          size="small"
          aria-label={t('filter.name')}
          placeholder={t('filter.name')}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Button size="small" disabled={!name.trim()} onClick={keep}>
          {t('filter.keep')}
        </Button>
      </p>
    </fieldset>
  )
}

// In the palette, also while the filter is closed.
export function useNamedConditions(onChange: (conditions: Conditions) => void) {
  const { t } = useTranslation()
  const { filters = [] } = useSettings().user.preferences
  useEffect(() =>
    commands.offerNamed(
      filters.map((one) => ({
        name: `${t('filter.title')}: ${one.name}`,
        run: () => onChange(whole(one)),
      })),
    ),
  )
}

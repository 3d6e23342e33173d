// What to take when translating ahead: which segments, matches from which score on, what counts as confirmed.
import { Checkbox, InputNumber, Radio } from 'antd'
import { useTranslation } from 'react-i18next'
import type { Settings } from './queries'

export type Scope = 'project' | 'file' | 'shown' | 'open'
// The segments of each, null for all; those that there are not are left out.
export type Scopes = Partial<Record<Scope, number[] | null>>
const WHICH: Settings['which'][] = ['untouched', 'unfinished']
const CONFIRMS: Settings['confirms'][] = ['none', 'context', 'exact']
const LOWEST = 30
const HIGHEST = 100

interface Props {
  settings: Settings
  scope: Scope
  scopes: Scopes
  onChange: (settings: Settings) => void
  onScope: (scope: Scope) => void
}

export function SettingsForm({ settings, scope, scopes, onChange, onScope }: Props) {
  const { t } = useTranslation()
  const set = (fields: Partial<Settings>) => onChange({ ...settings, ...fields })
  return (
    <div className="ways pretranslate-settings">
      <fieldset>
        <legend>{t('pretranslate.where')}</legend>
        <Radio.Group
          value={scope}
          onChange={(event) => onScope(event.target.value as Scope)}
          options={(Object.keys(scopes) as Scope[]).map((value) => ({
            value,
            label: t(`pretranslate.scopes.${value}`, { count: scopes[value]?.length }),
          }))}
        />
      </fieldset>
      <fieldset>
        <legend>{t('pretranslate.which')}</legend>
        <Radio.Group
          value={settings.which}
          onChange={(event) => set({ which: event.target.value as Settings['which'] })}
          options={WHICH.map((value) => ({ value, label: t(`pretranslate.whiches.${value}`) }))}
        />
      </fieldset>
      <fieldset>
        <legend>{t('pretranslate.threshold')}</legend>
        <InputNumber
          aria-label={t('pretranslate.threshold')}
          min={LOWEST}
          max={HIGHEST}
          value={settings.threshold}
          onChange={(threshold) => threshold && set({ threshold })}
        />
      </fieldset>
      <Checkbox checked={settings.machine} onChange={(event) => set({ machine: event.target.checked })}>
        {t('pretranslate.byMachine')}
      </Checkbox>
      <fieldset>
        <legend>{t('pretranslate.confirms')}</legend>
        <Radio.Group
          value={settings.confirms}
          onChange={(event) => set({ confirms: event.target.value as Settings['confirms'] })}
          options={CONFIRMS.map((value) => ({ value, label: t(`pretranslate.confirmed.${value}`) }))}
        />
      </fieldset>
    </div>
  )
}

// Further conditions of the filter: repeats, notes, findings, terms.
import { Checkbox, Radio } from 'antd'
import { useTranslation } from 'react-i18next'
import type { Conditions } from './conditions'

const REPEATS: Conditions['repeats'][] = ['all', 'first', 'later']

interface Props {
  conditions: Conditions
  set: (fields: Partial<Conditions>) => void
}

export function Further({ conditions, set }: Props) {
  const { t } = useTranslation()
  return (
    <fieldset data-part="repeats noted termed finding">
      <legend>{t('filter.repeated')}</legend>
      <Radio.Group
        value={conditions.repeats}
        options={REPEATS.map((value) => ({ value, label: t(`filter.repeats.${value}`) }))}
        onChange={(event) => set({ repeats: event.target.value as Conditions['repeats'] })}
      />
      <Checkbox checked={conditions.noted} onChange={(event) => set({ noted: event.target.checked })}>
        {t('filter.noted')}
      </Checkbox>
      <Checkbox
        checked={conditions.finding !== null}
        onChange={(event) => set({ finding: event.target.checked ? 'any' : null })}
      >
        {t('filter.findings.any')}
      </Checkbox>
      <Checkbox
        checked={conditions.finding === 'must-fix'}
        onChange={(event) => set({ finding: event.target.checked ? 'must-fix' : null })}
      >
        {t('filter.findings.must-fix')}
      </Checkbox>
      <Checkbox checked={conditions.termed} onChange={(event) => set({ termed: event.target.checked })}>
        {t('filter.termed')}
      </Checkbox>
    </fieldset>
  )
}

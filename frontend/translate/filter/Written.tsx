// Conditions about who wrote something, and when.
import { Radio } from 'antd'
import { useTranslation } from 'react-i18next'
import type { Conditions, Since } from './conditions'
import { useAuthors } from './useFound'

const SINCE: Since[] = ['ever', 'hour', 'day', 'week']
const ANYONE = ''

interface Props {
  project: number
  conditions: Conditions
  set: (fields: Partial<Conditions>) => void
}

export function Written({ project, conditions, set }: Props) {
  const { t } = useTranslation()
  const authors = useAuthors(project)
  return (
    <>
      <fieldset data-part="since">
        <legend>{t('filter.changed')}</legend>
        <Radio.Group
          value={conditions.since}
          options={SINCE.map((value) => ({ value, label: t(`filter.since.${value}`) }))}
          onChange={(event) => set({ since: event.target.value as Since })}
        />
      </fieldset>
      {authors.length > 0 && (
        <fieldset data-part="by">
          <legend>{t('filter.who')}</legend>
          <Radio.Group
            value={conditions.by ?? ANYONE}
            options={[
              { value: ANYONE, label: t('filter.anyone') },
              ...authors.map((value) => ({ value, label: value })),
            ]}
            onChange={(event) => set({ by: (event.target.value as string) || null })}
          />
        </fieldset>
      )}
    </>
  )
}

// All conditions of the filter.
import { Checkbox, Input, Radio } from 'antd'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import type { State } from '../../shared/types'
import { ANYTHING, type Conditions, type Order, type OriginKind, type Side } from './conditions'
import { Further } from './Further'
import { Names } from './Names'
import { Range } from './Range'
import { useRefusal } from './useFound'
import type { Part } from './useSentence'
import { Written } from './Written'

const SIDES: Side[] = ['either', 'source', 'target']
const STATES: State[] = ['untouched', 'draft', 'translated', 'reviewed', 'final']
const ORIGINS: OriginKind[] = [
  'typed',
  'memory',
  'machine',
  'repeated',
  'assembled',
  'source',
  'file',
  'earlier',
]
const ORDERS: Order[] = ['document', 'shortest', 'longest', 'source', 'score']

// How long, and how often, it is tried to bring the part that was pressed under the keyboard, in ms.
const [SETTLED, EVERY] = [1000, 30]

interface Props {
  project: number
  conditions: Conditions
  onChange: (conditions: Conditions) => void
  // The part of the sentence that was pressed.
  wanted: Part
}

export function Panel({ project, conditions, onChange, wanted }: Props) {
  const { t } = useTranslation()
  const box = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const until = performance.now() + SETTLED
    // What floats is shown once it has found its place.
    const timer = window.setInterval(() => {
      const place = box.current?.querySelector<HTMLElement>(`[data-part~="${wanted}"]`)
      place?.scrollIntoView({ block: 'nearest' })
      place?.querySelector<HTMLElement>('input:checked, input')?.focus()
      if (place?.contains(document.activeElement) || performance.now() > until) window.clearInterval(timer)
    }, EVERY)
    return () => window.clearInterval(timer)
  }, [wanted])
  const refusal = useRefusal(project, conditions)
  const set = (fields: Partial<Conditions>) => onChange({ ...conditions, ...fields })
  const named = <T extends string>(values: T[], text: string) =>
    values.map((value) => ({ value, label: t(`${text}.${value}`) }))
  return (
    <div ref={box} className="ways filter">
      <fieldset data-part="text">
        <legend>{t('filter.text')}</legend>
        <Input
          allowClear
          aria-label={t('filter.text')}
          value={conditions.text}
          onChange={(event) => set({ text: event.target.value })}
        />
        <Radio.Group
          value={conditions.side}
          options={named(SIDES, 'filter.sides')}
          onChange={(event) => set({ side: event.target.value as Side })}
        />
        <Checkbox checked={conditions.cased} onChange={(event) => set({ cased: event.target.checked })}>
          {t('filter.cased')}
        </Checkbox>
        <Checkbox
          checked={conditions.expression}
          onChange={(event) => set({ expression: event.target.checked })}
        >
          {t('filter.expression')}
        </Checkbox>
        {refusal && (
          <p className="small alarm" role="alert">
            {refusal}
          </p>
        )}
      </fieldset>
      <fieldset className="across" data-part="states">
        <legend>{t('filter.state')}</legend>
        <Checkbox.Group
          value={conditions.states}
          options={named(STATES, 'states')}
          onChange={(states) => set({ states })}
        />
      </fieldset>
      <fieldset className="across" data-part="origins">
        <legend>{t('filter.origin')}</legend>
        <Checkbox.Group
          value={conditions.origins}
          options={named(ORIGINS, 'filter.origins')}
          onChange={(origins) => set({ origins })}
        />
      </fieldset>
      <Range
        name="score"
        from={conditions.scoreFrom}
        to={conditions.scoreTo}
        most={100}
        onChange={(scoreFrom, scoreTo) => set({ scoreFrom, scoreTo })}
      />
      <Range
        name="length"
        from={conditions.lengthFrom}
        to={conditions.lengthTo}
        most={99_999}
        onChange={(lengthFrom, lengthTo) => set({ lengthFrom, lengthTo })}
      />
      <Written {...{ project, conditions, set }} />
      <Further {...{ conditions, set }} />
      <fieldset data-part="order">
        <legend>{t('filter.order')}</legend>
        <Radio.Group
          value={conditions.order}
          options={named(ORDERS, 'filter.orders')}
          onChange={(event) => set({ order: event.target.value as Order })}
        />
      </fieldset>
      <Names conditions={conditions} onChange={onChange} />
      <button type="button" className="link" onClick={() => onChange(ANYTHING)}>
        {t('filter.clear')}
      </button>
    </div>
  )
}

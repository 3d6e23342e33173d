// Translation settings in one place: repetitions, minimum match score, what an untouched segment begins with,
// completion.
import { Checkbox, Radio } from 'antd'
import { useCallback, useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { commands } from '../shared/commands'
import { useOpened } from '../shared/focus'
import { Floating } from '../shared/parts/Floating'
import { useSettings } from '../shared/settings'
import type { CompletionSource, Preferences } from '../shared/shapes'
import type { Act } from '../shared/useAct'
import { usePrefer } from '../shared/usePrefer'
import { useOpenedByAddress } from '../shared/useOpenedByAddress'

const FLOORS = [30, 40, 50, 60, 70, 75, 80, 85]
const USUAL_FLOOR = 50
const GOOD_ENOUGH = [100, 95, 85, 75, 60]
const USUAL_SCORE = 85
const SOURCES: CompletionSource[] = ['memories', 'project', 'machine', 'terms', 'carried', 'codes', 'source']

interface Choice {
  title: string
  value: string
  options: { value: string; label: string; prefer: Preferences }[]
}

export function Ways({ act }: { act: Act }) {
  const { t } = useTranslation()
  const prefer = usePrefer(act)
  const choices = useChoices()
  const { open, setOpen, opener, inside } = useOpened()
  useOpenedByAddress(
    'ways',
    useCallback(() => setOpen(true), [setOpen]),
  )
  useEffect(() =>
    commands.offerNamed(
      choices.flatMap(({ title, value, options }) =>
        options
          .filter((option) => option.value !== value)
          .map((option) => ({
            id: 'ways.title',
            name: `${title}: ${option.label}`,
            run: () => prefer({ ...option.prefer }),
          })),
      ),
    ),
  )
  return (
    <Floating
      label={t('ways.title')}
      placement="bottomRight"
      {...{ open, setOpen, inside }}
      content={
        <div className="ways">
          {choices.map((choice) => (
            <Choices key={choice.title} {...choice} onChoose={(fields) => prefer({ ...fields })} />
          ))}
          <DrawsFrom onChange={(completion_without) => prefer({ completion_without })} />
        </div>
      }
    >
      <button ref={opener} type="button" className="in-place" aria-haspopup="dialog" aria-expanded={open}>
        {t('ways.title')}
      </button>
    </Floating>
  )
}

function useChoices(): Choice[] {
  const { t } = useTranslation()
  const { preferences } = useSettings().user
  return [
    {
      title: t('ways.repeats'),
      value: preferences.confirm_repeats ? 'confirm' : 'draft',
      options: ['draft', 'confirm'].map((value) => ({
        value,
        label: t(`ways.repeated.${value}`),
        prefer: { confirm_repeats: value === 'confirm' },
      })),
    },
    {
      title: t('ways.floor'),
      value: String(preferences.floor ?? USUAL_FLOOR),
      options: FLOORS.map((floor) => ({ value: String(floor), label: String(floor), prefer: { floor } })),
    },
    {
      title: t('ways.onOpen'),
      value: preferences.on_open ?? 'nothing',
      options: (['nothing', 'source', 'match', 'machine'] as const).map((on_open) => ({
        value: on_open,
        label: t(`ways.opened.${on_open}`),
        prefer: { on_open },
      })),
    },
    {
      title: t('ways.onOpenFrom'),
      value: String(preferences.on_open_from ?? USUAL_SCORE),
      options: GOOD_ENOUGH.map((on_open_from) => ({
        value: String(on_open_from),
        label: String(on_open_from),
        prefer: { on_open_from },
      })),
    },
    {
      title: t('ways.completion'),
      value: preferences.completion ?? 'first',
      options: (['first', 'list', 'off'] as const).map((completion) => ({
        value: completion,
        label: t(`ways.completed.${completion}`),
        prefer: { completion },
      })),
    },
  ]
}

function Choices({ title, value, options, onChoose }: Choice & { onChoose: (fields: Preferences) => void }) {
  return (
    <fieldset>
      <legend>{title}</legend>
      <Radio.Group
        value={value}
        options={options.map((option) => ({ value: option.value, label: option.label }))}
        onChange={(event) =>
          onChoose(options.find((option) => option.value === event.target.value)?.prefer ?? {})
        }
      />
    </fieldset>
  )
}

function DrawsFrom({ onChange }: { onChange: (without: CompletionSource[]) => void }) {
  const { t } = useTranslation()
  const { completion, completion_without: without = [] } = useSettings().user.preferences
  if (completion === 'off') return null
  return (
    <fieldset>
      <legend>{t('ways.drawsFrom')}</legend>
      <Checkbox.Group
        value={SOURCES.filter((source) => !without.includes(source))}
        options={SOURCES.map((value) => ({ value, label: t(`ways.sources.${value}`) }))}
        onChange={(kept) => onChange(SOURCES.filter((source) => !kept.includes(source)))}
      />
    </fieldset>
  )
}

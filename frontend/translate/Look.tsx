// The appearance of the text: size, line length, font, spacing, side by side. Saved, and shown at once.
import { Radio } from 'antd'
import { useCallback, useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { commands } from '../shared/commands'
import { useOpened } from '../shared/focus'
import { Floating } from '../shared/parts/Floating'
import { useSettings } from '../shared/settings'
import type { ReadingLook } from '../shared/shapes'
import type { Act } from '../shared/useAct'
import { usePrefer } from '../shared/usePrefer'
import { useOpenedByAddress } from '../shared/useOpenedByAddress'

type Value = string | number | boolean
interface Choice {
  field: keyof ReadingLook
  usual: Value
  values: Value[]
  // Where their names stand in the catalogue.
  names: string
}
const CHOICES: Choice[] = [
  { field: 'size', usual: 1, values: [0.9, 1, 1.15, 1.3, 1.5], names: 'sizes' },
  { field: 'measure', usual: 'usual', values: ['short', 'usual', 'long'], names: 'measures' },
  { field: 'face', usual: 'reading', values: ['reading', 'plain'], names: 'faces' },
  { field: 'close', usual: false, values: [false, true], names: 'spacing' },
  { field: 'beside', usual: false, values: [false, true], names: 'place' },
]

const useNames = () => {
  const { t } = useTranslation()
  // A dot in a name would be taken for a way into the catalogue.
  return ({ names }: Choice, value: Value) =>
    t(`look.${names}`, { returnObjects: true })[String(value) as never]
}

export function Look({ act }: { act: Act }) {
  const { t } = useTranslation()
  const prefer = usePrefer(act)
  const nameOf = useNames()
  const { reading = {} } = useSettings().user.preferences
  const { open, setOpen, opener, inside } = useOpened()
  useOpenedByAddress(
    'look',
    useCallback(() => setOpen(true), [setOpen]),
  )
  const set = (field: keyof ReadingLook, value: Value) => prefer({ reading: { ...reading, [field]: value } })
  useEffect(() =>
    commands.offerNamed(
      CHOICES.flatMap((choice) =>
        choice.values
          .filter((value) => value !== (reading[choice.field] ?? choice.usual))
          .map((value) => ({
            id: 'look.title',
            name: `${t(`look.${choice.field}`)}: ${nameOf(choice, value)}`,
            run: () => set(choice.field, value),
          })),
      ),
    ),
  )
  return (
    <Floating
      label={t('look.title')}
      placement="bottomRight"
      {...{ open, setOpen, inside }}
      content={
        <div className="ways">
          {CHOICES.map((choice) => (
            <fieldset key={choice.field}>
              <legend>{t(`look.${choice.field}`)}</legend>
              <Radio.Group
                value={reading[choice.field] ?? choice.usual}
                options={choice.values.map((value) => ({ value, label: nameOf(choice, value) }))}
                onChange={(event) => set(choice.field, event.target.value as Value)}
              />
            </fieldset>
          ))}
        </div>
      }
    >
      <button
        ref={opener}
        type="button"
        className="in-place look"
        aria-label={t('look.title')}
        title={t('look.title')}
        aria-haspopup="dialog"
        aria-expanded={open}
      >
        Aa
      </button>
    </Floating>
  )
}

// What the text is drawn with.
export function lookOf({ size = 1, measure, face, close, beside }: ReadingLook = {}) {
  return {
    style: { '--size': size } as React.CSSProperties,
    'data-measure': measure ?? 'usual',
    'data-face': face ?? 'reading',
    'data-close': close ? '' : undefined,
    'data-beside': beside ? '' : undefined,
  }
}

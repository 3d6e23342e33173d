// What a hand-over says and takes along.
import { Checkbox, Input } from 'antd'
import { useTranslation } from 'react-i18next'
import type { SheetOptions } from './queries'

interface Props {
  options: SheetOptions
  set: (fields: Partial<SheetOptions>) => void
}
const ALONG = ['memories', 'termbases'] as const

export function HandOverFields({ options, set }: Props) {
  const { t } = useTranslation()
  return (
    <>
      <label>
        <span>{t('review.task')}</span>
        <Input value={options.task} onChange={(event) => set({ task: event.target.value })} />
      </label>
      <label>
        <span>{t('review.message')}</span>
        <Input.TextArea
          autoSize={{ minRows: 2, maxRows: 8 }}
          value={options.message}
          onChange={(event) => set({ message: event.target.value })}
        />
      </label>
      <label>
        <span>{t('review.due')}</span>
        <Input
          type="datetime-local"
          value={options.due_at}
          onChange={(event) => set({ due_at: event.target.value })}
        />
      </label>
      {ALONG.map((name) => (
        <Checkbox
          key={name}
          checked={options[name]}
          onChange={(event) => set({ [name]: event.target.checked })}
        >
          {t(`review.along.${name}`)}
        </Checkbox>
      ))}
      {(options.memories || options.termbases) && (
        <Checkbox
          checked={options.matching}
          onChange={(event) => set({ matching: event.target.checked })}
          style={{ marginLeft: 24 }}
        >
          {t('review.matching')}
        </Checkbox>
      )}
    </>
  )
}

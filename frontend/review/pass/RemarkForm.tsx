// A remark being made: kind and severity of the error, and what there is to say.
import { Button, Input, Radio, Select } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { KEYS, matches } from '../../shared/keys'
import type { ErrorTypes, Severity, Spot } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { addRemark } from './queries'
import { useRefreshPass } from './useRefreshPass'

interface Props {
  round: number
  segment: number
  types: ErrorTypes
  spot?: Spot
  onClose: () => void
}

export function RemarkForm({ round, segment, types, spot, onClose }: Props) {
  const { t } = useTranslation()
  const { act, busy } = useAct()
  const refresh = useRefreshPass(round)
  const [type, setType] = useState(LAST.type)
  const [severity, setSeverity] = useState<Severity>(LAST.severity)
  const [text, setText] = useState('')
  const keep = () =>
    void act(async () => {
      await addRemark(round, segment, { text, error_type: type, severity, spot })
      Object.assign(LAST, { type, severity })
      await refresh()
      onClose()
    })
  return (
    <div
      className="remark-form"
      role="group"
      aria-label={t('review.pass.newRemark')}
      onKeyDown={(event) => {
        const isKept = matches(event, KEYS.finish)
        if (!isKept && !matches(event, KEYS.close)) return
        event.preventDefault()
        event.stopPropagation()
        if (isKept) keep()
        else onClose()
      }}
    >
      {spot && (
        <p className="small">
          {t('review.pass.on')} <q>{spot.text}</q>
        </p>
      )}
      <div className="chosen">
        <TypeSelect types={types} value={type} onChange={setType} />
        <Radio.Group
          size="small"
          aria-label={t('review.pass.severity')}
          value={severity}
          options={(Object.keys(types.severities) as Severity[]).map((value) => ({
            value,
            label: t(`severities.${value}`),
          }))}
          onChange={(event) => setSeverity(event.target.value as Severity)}
        />
      </div>
      <Input.TextArea
        autoFocus
        autoSize={{ minRows: 1, maxRows: 6 }}
        aria-label={t('review.pass.says')}
        placeholder={t('review.pass.says')}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <p className="acts">
        <Button size="small" loading={busy} onClick={keep}>
          {t('review.pass.keepRemark')}
        </Button>
        <button type="button" className="quiet-link" onClick={onClose}>
          {t('app.cancel')}
        </button>
      </p>
    </div>
  )
}
// The next remark is often of the same kind.
const LAST: { type: string; severity: Severity } = { type: 'accuracy', severity: 'minor' }

interface TypeProps {
  types: ErrorTypes
  value: string
  onChange: (type: string) => void
}

// Kinds with their narrower ones below them, found by typing.
export function TypeSelect({ types, value, onChange }: TypeProps) {
  const { t } = useTranslation()
  const options = Object.entries(types.kinds).flatMap(([kind, narrower]) => [
    { value: kind, label: t(`errorTypes.${kind}`), className: 'whole-kind' },
    ...narrower.map((one) => ({
      value: `${kind}/${one}`,
      label: t(`errorTypes.${one}`),
      className: 'narrower',
    })),
  ])
  return (
    <Select
      showSearch={{ optionFilterProp: 'label' }}
      size="small"
      aria-label={t('review.pass.kind')}
      popupMatchSelectWidth={false}
      {...{ value, options, onChange }}
    />
  )
}

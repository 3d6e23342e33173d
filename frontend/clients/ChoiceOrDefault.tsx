// A setting of a client: one of several values, or the default.
import { MenuInPlace } from '../shared/parts/MenuInPlace'

const USUAL = 'usual'

interface Props<Value extends string> {
  title: string
  // What is said of the usual.
  usual: string
  options: { value: Value; label: string }[]
  value: Value | null
  onChange: (value: Value | null) => void
}

export function ChoiceOrDefault<Value extends string>({
  title,
  usual,
  options,
  value,
  onChange,
}: Props<Value>) {
  const label = options.find((one) => one.value === value)?.label ?? usual
  return (
    <MenuInPlace
      title={title}
      label={label}
      value={value ?? USUAL}
      options={[{ value: USUAL, label: usual }, ...options]}
      onChange={(chosen) => onChange(chosen === USUAL ? null : (chosen as Value))}
    />
  )
}

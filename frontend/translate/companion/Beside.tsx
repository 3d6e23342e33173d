// The companion: beside the text, or in a window of its own.
import type { ComponentProps } from 'react'
import { useTranslation } from 'react-i18next'
import { Companion } from './Companion'
import { OwnWindow } from './OwnWindow'
import type { Beside as Where } from './useCompanion'

type Props = Omit<ComponentProps<typeof Companion>, 'asked' | 'apart' | 'onFold' | 'onApart' | 'onBack'>

export function Beside({ where, ...props }: Props & { where: Where }) {
  const { t } = useTranslation()
  const { folded, apart, asked, fold, together, showApart, back } = where
  const companion = (
    <Companion {...props} {...{ asked, apart }} onFold={fold} onApart={showApart} onBack={back} />
  )
  if (apart)
    return (
      <OwnWindow title={t('companion.apartTitle', { project: props.project.name })} onClose={together}>
        {companion}
      </OwnWindow>
    )
  return folded ? null : companion
}

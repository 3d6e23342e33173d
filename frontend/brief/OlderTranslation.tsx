// There is an older translation: the old text and its translation, dropped here, give matches at once.
import { App } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { drop } from '../align/queries'
import { DropFiles } from '../shared/parts/DropFiles'
import { useAct } from '../shared/useAct'

export function OlderTranslation({ project }: { project: number }) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const { act, busy } = useAct()
  const [open, setOpen] = useState(false)
  const bring = (files: File[]) =>
    void act(async () => {
      await drop(files, project)
      setOpen(false)
      void message.info(t('align.older.begun'))
    })
  if (!open)
    return (
      <button type="button" className="plain-link small" onClick={() => setOpen(true)}>
        {t('align.older.open')}
      </button>
    )
  return (
    <DropFiles slim onFiles={bring}>
      {t(busy ? 'align.older.sending' : 'align.older.drop')}
    </DropFiles>
  )
}

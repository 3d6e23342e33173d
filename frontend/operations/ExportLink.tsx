// A file that takes a while to be made: it comes when it is ready.
import { useQueryClient } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { useAct } from '../shared/useAct'
import { download } from './follow'
import { refreshUnderWay } from './queries'

interface Props {
  path: string
  className?: string
  title?: string
  children: ReactNode
}

export function ExportLink({ path, className = 'link', title, children }: Props) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const fetchIt = () => {
    window.setTimeout(() => void refreshUnderWay(cache), 300)
    void act(() => download(path))
  }
  return (
    <button type="button" className={className} title={title} disabled={busy} onClick={fetchIt}>
      {busy ? t('operations.exporting') : children}
    </button>
  )
}

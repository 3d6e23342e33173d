// A hand-over dropped on Today: a look at what is in it, and then a project.
import { App } from 'antd'
import { useCallback } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { begin, finished } from '../operations/follow'
import { useAct } from '../shared/useAct'
import { useArrival } from '../shared/useArrival'
import { InHandOver, type HandOverLook } from './InHandOver'

export const isPackage = (files: File[]) => files.length === 1 && /\.zip$/i.test(files[0].name)

const formOf = (file: File, take = false) => {
  const form = new FormData()
  form.append('file', file)
  if (take) form.append('take', 'true')
  return form
}

export function useReceived() {
  const { t } = useTranslation()
  const { modal } = App.useApp()
  const { act } = useAct()
  const arrival = useArrival('new-project')
  return useCallback(
    (file: File) =>
      void act(async () => {
        const { look } = await api.post<{ look: HandOverLook }>('/hand_overs', formOf(file))
        const open = () => {
          const arrive = arrival()
          return act(async () => {
            const opened = await finished(await begin('/hand_overs', formOf(file, true)))
            arrive(`/projects/${opened.result.project_id}/translate`, t('arrival.project'))
          })
        }
        modal.confirm({
          title: t(look.archive ? 'handOver.archive' : 'handOver.from', { from: look.from }),
          content: <InHandOver look={look} />,
          okText: t('handOver.open'),
          cancelText: t('handOver.notNow'),
          width: 560,
          icon: null,
          onOk: open,
        })
      }),
    [act, arrival, modal, t],
  )
}

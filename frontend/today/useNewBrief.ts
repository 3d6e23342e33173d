// Files dropped on Today become a brief of their own, which may begin with a template or with the language
// they are translated into.
import { useCallback, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { beginBrief } from '../brief/dropping'
import { changeProject } from '../brief/queries'
import type { SendingState } from '../brief/useSending'
import { useAct } from '../shared/useAct'
import { useArrival } from '../shared/useArrival'
import { isPackage, useReceived } from './useReceived'

const NOTHING: SendingState = { share: null, count: 0 }

export interface Known {
  template_id?: number
  target_lang?: string
}
export type Start = (files: File[], known?: () => Known) => void

const nothingKnown = (): Known => ({})

// The target language may be chosen while the files are still being uploaded.
async function changeLanguage(id: number, first: Known, now: Known) {
  const target_lang = now.target_lang ?? null
  if (target_lang !== (first.target_lang ?? null)) await changeProject(id, { target_lang })
}

export function useNewBrief() {
  const { t } = useTranslation()
  const arrival = useArrival('new-project')
  const { act } = useAct()
  const received = useReceived()
  const [sending, setSending] = useState(NOTHING)
  const start = useCallback<Start>(
    (files, known = nothingKnown) => {
      const first = known()
      if (!files.length && !first.template_id) return
      if (isPackage(files)) return received(files[0])
      const arrive = arrival()
      void act(async () => {
        try {
          setSending({ share: 0, count: files.length })
          const id = await beginBrief(files, (share) => setSending({ share, count: files.length }), first)
          await changeLanguage(id, first, known()).finally(() =>
            arrive(`/projects/${id}/brief`, t('arrival.project')),
          )
        } finally {
          setSending(NOTHING)
        }
      })
    },
    [act, arrival, received, t],
  )
  return { sending, start }
}

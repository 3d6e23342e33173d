// Files dropped on Today become a brief of their own, which may begin with a template or with the language
// they are translated into.
import { useCallback, useState } from 'react'
import { useNavigate } from 'react-router'
import { beginBrief } from '../brief/dropping'
import { changeProject } from '../brief/queries'
import type { SendingState } from '../brief/useSending'
import { useAct } from '../shared/useAct'
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
  const go = useNavigate()
  const { act } = useAct()
  const received = useReceived()
  const [sending, setSending] = useState(NOTHING)
  const start = useCallback<Start>(
    (files, known = nothingKnown) => {
      const first = known()
      if (!files.length && !first.template_id) return
      if (isPackage(files)) return received(files[0])
      void act(async () => {
        try {
          setSending({ share: 0, count: files.length })
          const id = await beginBrief(files, (share) => setSending({ share, count: files.length }), first)
          await changeLanguage(id, first, known()).finally(() => void go(`/projects/${id}/brief`))
        } finally {
          setSending(NOTHING)
        }
      })
    },
    [act, go, received],
  )
  return { sending, start }
}

// Files dropped on Today become a brief of their own, which may begin with a template or with the language
// they are translated into.
import { useCallback, useState } from 'react'
import { useNavigate } from 'react-router'
import { beginBrief } from '../brief/dropping'
import type { SendingState } from '../brief/useSending'
import { useAct } from '../shared/useAct'
import { isPackage, useReceived } from './useReceived'

const NOTHING: SendingState = { share: null, count: 0 }

export interface Known {
  template_id?: number
  target_lang?: string
}
export type Start = (files: File[], known?: Known) => void

export function useNewBrief() {
  const go = useNavigate()
  const { act } = useAct()
  const received = useReceived()
  const [sending, setSending] = useState(NOTHING)
  const start = useCallback<Start>(
    (files, known = {}) => {
      if (!files.length && !known.template_id) return
      if (isPackage(files)) return received(files[0])
      void act(async () => {
        try {
          setSending({ share: 0, count: files.length })
          const id = await beginBrief(files, (share) => setSending({ share, count: files.length }), known)
          void go(`/projects/${id}/brief`)
        } finally {
          setSending(NOTHING)
        }
      })
    },
    [act, go, received],
  )
  return { sending, start }
}

// Opens the page of something that took a while to make. If the user has gone to another page meanwhile, it is
// offered there instead.
import { useCallback } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { useOffer } from './useOffer'

export type Arrive = (path: string, text: string) => void

// Called when the work starts; answers what is called when it is done, with the text of the offer.
export function useArrival(key: string) {
  const { t } = useTranslation()
  const go = useNavigate()
  const offer = useOffer(key)
  return useCallback((): Arrive => {
    const from = window.location.pathname
    return (path, text) => {
      if (window.location.pathname === from) void go(path)
      else offer(text, t('arrival.open'), () => void go(path))
    }
  }, [go, offer, t])
}

// Opens what the address asks for ("?open=replace"), once.
import { useEffect } from 'react'
import { useSearchParams } from 'react-router'

export function useOpenedByAddress(name: string, open: () => void) {
  const [params, setParams] = useSearchParams()
  const asked = params.get('open') === name
  useEffect(() => {
    if (!asked) return
    setParams(
      (now) => {
        now.delete('open')
        return now
      },
      { replace: true },
    )
    open()
  }, [asked, open, setParams])
}

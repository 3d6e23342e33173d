// Whether the companion is folded away; the browser remembers it.
import { useCallback, useEffect, useState } from 'react'

const KEPT_AS = 'glossema.folded'

export function useFolded() {
  const [folded, setFolded] = useState(() => localStorage.getItem(KEPT_AS) === '1')
  useEffect(() => {
    localStorage.setItem(KEPT_AS, folded ? '1' : '0')
  }, [folded])
  const fold = useCallback(() => setFolded((now) => !now), [])
  return { folded, setFolded, fold }
}

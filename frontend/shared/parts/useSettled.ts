// False at first and true in the next frame: what floats finds its place only once what it hangs on stands.
import { useEffect, useState } from 'react'

export function useSettled(): boolean {
  const [settled, setSettled] = useState(false)
  useEffect(() => {
    const frame = requestAnimationFrame(() => setSettled(true))
    return () => cancelAnimationFrame(frame)
  }, [])
  return settled
}

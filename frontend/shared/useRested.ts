// A value once it has stood still for a moment: so that not every key asks the server.
import { useEffect, useState } from 'react'

const MOMENT = 250

export function useRested<T>(value: T): T {
  const [rested, setRested] = useState(value)
  const written = JSON.stringify(value)
  useEffect(() => {
    const timer = window.setTimeout(() => setRested(JSON.parse(written) as T), MOMENT)
    return () => window.clearTimeout(timer)
  }, [written])
  return rested
}

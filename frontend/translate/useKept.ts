// A choice that stays when the page is loaded again or left: kept in this browser under a name.
import { useCallback, useState } from 'react'

// What cannot be read, or is no longer fitting, is as good as nothing.
function read<T>(name: string, fits: (value: T) => boolean): T | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(name) ?? 'null') as T | null
    return kept !== null && fits(kept) ? kept : undefined
  } catch {
    return undefined
  }
}

export function useKept<T>(name: string, first: T, fits: (value: T) => boolean = () => true) {
  const [value, setValue] = useState<T>(() => read<T>(name, fits) ?? first)
  const set = useCallback(
    (next: T) => {
      setValue(next)
      if (next === first) localStorage.removeItem(name)
      else localStorage.setItem(name, JSON.stringify(next))
    },
    [first, name],
  )
  return [value, set] as const
}

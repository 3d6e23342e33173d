// The signed-in user, and the preferences of the interface.
import { createContext, useContext } from 'react'
import type { User } from './types'

export interface Settings {
  user: User
  mode: 'light' | 'dark'
  setMode: (mode: 'light' | 'dark') => void
}
export const SettingsContext = createContext<Settings | null>(null)

export function useSettings(): Settings {
  const settings = useContext(SettingsContext)
  if (!settings) throw new Error('no settings')
  return settings
}

// The user's keys beside the default ones: changed, conflicting, imported from a file.
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../../shared/api'
import { isNumbered, KEYS, OUR_KEYS, setKeys, type Command } from '../../shared/keys'
import { keys } from '../../shared/queryKeys'
import { useSettings } from '../../shared/settings'

type Own = Record<string, string>

export function useKeyMap() {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const own = useSettings().user.preferences.keys ?? {}
  const [trouble, setTrouble] = useState('')
  const keep = async (next: Own) => {
    try {
      await api.patch('/settings', { preferences: { keys: next } })
      setTrouble('')
      setKeys(next)
      await cache.invalidateQueries({ queryKey: keys.me })
    } catch (error) {
      setTrouble((error as Error).message)
    }
  }
  const change = (command: Command, key: string | null) => {
    if (key && isNumbered(key)) return setTrouble(t('keys.numbered', { key }))
    const { [command]: _, ...others } = own
    const clash = clashing(command, key ?? OUR_KEYS[command])
    if (clash) setTrouble(t('keys.clash', { key: key ?? OUR_KEYS[command], name: t(`commands.${clash}`) }))
    else void keep(key === null || key === OUR_KEYS[command] ? others : { ...others, [command]: key })
  }
  const takeIn = async (file: File) => {
    try {
      const given = JSON.parse(await file.text()) as Own
      const strange = Object.keys(given).find((command) => !(command in OUR_KEYS))
      const twice = clashIn({ ...OUR_KEYS, ...given })
      if (strange) setTrouble(t('keys.strange', { name: strange }))
      else if (twice) setTrouble(t('keys.clash', { key: twice[0], name: t(`commands.${twice[1]}`) }))
      else await keep(given)
    } catch {
      setTrouble(t('keys.noFile', { name: file.name }))
    }
  }
  return { own, change, clear: () => void keep({}), takeIn, trouble }
}

// Which other command has a key.
const clashing = (command: Command, key: string) =>
  (Object.keys(KEYS) as Command[]).find((other) => other !== command && KEYS[other] === key)

// [key, the second command that has it] of the first key that two have.
function clashIn(map: Own): [string, string] | null {
  const seen = new Set<string>()
  for (const [command, key] of Object.entries(map)) {
    if (seen.has(key)) return [key, command]
    seen.add(key)
  }
  return null
}

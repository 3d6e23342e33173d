// Rules as they are edited on this page. What was not kept yet is there again when the page is opened again.
import { useEffect, useState } from 'react'
import type { RuleGroup, Ruling } from '../shared/types'
import type { RulesOwner } from './queries'

const keyFor = (owner: RulesOwner) => `glossema.rules.${owner || 'all'}`

// Where it still fits the rules there are.
function stored(key: string, ruling: Ruling): RuleGroup[] | null {
  const text = sessionStorage.getItem(key)
  if (!text) return null
  const { groups, over } = JSON.parse(text) as { groups: RuleGroup[]; over: number }
  return over === ruling.groups.length ? groups : null
}

export function useEdited(ruling: Ruling, owner: RulesOwner) {
  const key = keyFor(owner)
  const [groups, setGroups] = useState(() => stored(key, ruling) ?? ruling.groups)
  const touched = groups !== ruling.groups
  useEffect(() => {
    if (touched) sessionStorage.setItem(key, JSON.stringify({ groups, over: ruling.groups.length }))
    else sessionStorage.removeItem(key)
  }, [groups, key, ruling.groups.length, touched])
  const forget = () => sessionStorage.removeItem(key)
  return { groups, setGroups, touched, forget }
}

// A text cut by the rules as they are now: tried a moment after the last key; an answer that comes late is
// not shown.
import { useEffect, useState } from 'react'
import type { RuleTrial } from '../shared/types'
import { tryRules, type RulesOwner, type Tried } from './queries'

const PAUSE = 250

export function useTrial(owner: RulesOwner, { groups, text, language }: Tried) {
  const [trial, setTrial] = useState<RuleTrial | null>(null)
  const [fault, setFault] = useState('')
  useEffect(() => {
    let late = false
    const attempt = async () => {
      try {
        const answer = await tryRules(owner, { groups, text, language })
        if (late) return
        setTrial(answer)
        setFault('')
      } catch (error) {
        if (!late) setFault((error as Error).message)
      }
    }
    const timer = window.setTimeout(() => void attempt(), PAUSE)
    return () => {
      late = true
      window.clearTimeout(timer)
    }
  }, [groups, text, language, owner])
  return { trial, fault }
}

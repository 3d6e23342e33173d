// The spelling of the target being written: faults asked for, a word chosen to be mended, and once a word on
// a language without a dictionary.
import { useState, type RefObject } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../../shared/api'
import { languageName } from '../../shared/languages'
import type { Project, Segment } from '../../shared/types'
import type { Misspelled } from '../editor/spelling'
import type { TargetHandle } from '../editor/targetHandle'

// Projects of which it was said already.
const told = new Set<number>()
// Words let stand in a segment, until the page is loaded anew.
const skipped = new Map<number, Set<string>>()

export function useSpelling(
  project: Project,
  segment: Segment,
  target: RefObject<TargetHandle | null>,
  say: (text: string) => void,
) {
  const { t } = useTranslation()
  const [word, setWord] = useState<string | null>(null)
  const look = async (text: string): Promise<Misspelled[]> => {
    if (!text.trim()) return []
    const answer = await api.post<{ there: boolean; faults: Misspelled[] }>(
      `/projects/${project.id}/spelling`,
      { text },
    )
    if (!answer.there && !told.has(project.id)) {
      told.add(project.id)
      say(t('spelling.noDictionary', { language: languageName(project.target_lang) }))
    }
    return answer.faults.filter((fault) => !skipped.get(segment.id)?.has(fault.word))
  }
  const leave = () => {
    setWord(null)
    target.current?.focus()
  }
  return {
    word,
    look,
    leave,
    open: () => {
      const found = target.current?.misspelt()
      if (found) setWord(found)
      else say(t('spelling.allRight'))
    },
    take: (text: string) => {
      setWord(null)
      target.current?.correct(text)
    },
    skip: () => {
      if (word) skipped.set(segment.id, new Set(skipped.get(segment.id)).add(word))
      leave()
      target.current?.lookAgain()
    },
    learned: () => {
      leave()
      target.current?.lookAgain()
    },
  }
}

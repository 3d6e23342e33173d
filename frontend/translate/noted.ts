// Which segments have an open note, and whether it is a question to the client.
import { createContext, useContext, useMemo } from 'react'
import { useNotes } from '../notes/queries'
import type { Note } from '../shared/types'

export type Noted = Map<number, Note['kind']>
export const NotedContext = createContext<Noted>(new Map())

export function useNotedSegments(project: number): Noted {
  const notes = useNotes(project)
  return useMemo(() => {
    const noted: Noted = new Map()
    for (const { segment_id, kind, settled_at } of notes) {
      if (segment_id === null || settled_at) continue
      if (kind === 'question' || !noted.has(segment_id)) noted.set(segment_id, kind)
    }
    return noted
  }, [notes])
}

export const useNoted = (segment: number) => useContext(NotedContext).get(segment)

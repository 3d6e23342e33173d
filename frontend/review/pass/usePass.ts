// A pass as it is read: its passages with what is written in them, which one is open, and what is done with
// them.
import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { useReviewNews } from '../../shared/live'
import { keys } from '../../shared/queryKeys'
import { useSettings } from '../../shared/settings'
import { useAct } from '../../shared/useAct'
import { Drafts } from './drafts'
import { readPassage, unreadPassage, usePassages, type Passage, type PassPage } from './queries'

export type Narrowed = 'all' | 'unread' | 'remarked' | 'changed'
// News come thick while somebody types.
const QUIET = 1500

export function usePass(round: number) {
  const [against, setAgainst] = useState('begin')
  const { data, error, refetch } = usePassages(round, against)
  useRefreshing(round)
  const drafts = useDrafts(round)
  return { page: data, error, refetch, against, setAgainst, drafts }
}

// What others did shows a moment later.
function useRefreshing(round: number) {
  const cache = useQueryClient()
  const timer = useRef(0)
  useReviewNews(round, () => {
    window.clearTimeout(timer.current)
    timer.current = window.setTimeout(
      () => void cache.invalidateQueries({ queryKey: keys.passages(round) }),
      QUIET,
    )
  })
}

function useDrafts(round: number) {
  const { user } = useSettings()
  const [drafts] = useState(() => new Drafts(user.id, round))
  useEffect(() => () => drafts.close(), [drafts])
  return drafts
}

export function useReading(page: PassPage, against: string, drafts: Drafts) {
  const cache = useQueryClient()
  const { act } = useAct()
  const round = page.round.id
  const [openId, setOpenId] = useState<number | null>(null)
  const [narrowed, setNarrowed] = useState<Narrowed>('all')
  const shown = useShown(page, narrowed, openId)
  const put = useCallback(
    (passage: Passage) =>
      cache.setQueryData<PassPage>(
        keys.passagesAgainst(round, against),
        (old) => old && withPassage(old, passage),
      ),
    [cache, round, against],
  )
  const tell = () => cache.invalidateQueries({ queryKey: keys.rounds(page.project.id) })
  const step = (by: number) => {
    const at = shown.findIndex(({ segment_id }) => segment_id === openId)
    const next = shown[at + by]
    if (next) setOpenId(next.segment_id)
  }
  const goOn = (from: Passage) => setOpenId(nextUnread(shown, from)?.segment_id ?? null)
  const read = (passage: Passage, target: string) =>
    void act(async () => {
      const answer = await readPassage(round, passage, target, against)
      drafts.drop(passage.segment_id)
      put(answer.passage)
      goOn(passage)
      await tell()
    })
  const unread = (passage: Passage) =>
    void act(async () => {
      put((await unreadPassage(round, passage, against)).passage)
      await tell()
    })
  return { openId, setOpenId, narrowed, setNarrowed, shown, step, read, unread }
}

export type Reading = ReturnType<typeof useReading>

// What is open stays in sight though it would not be chosen any more.
function useShown({ passages, remarks }: PassPage, narrowed: Narrowed, openId: number | null) {
  return useMemo(() => {
    const remarked = new Set(remarks.map((one) => one.segment_id))
    const chosen: Record<Narrowed, (passage: Passage) => boolean> = {
      all: () => true,
      unread: (passage) => !passage.read,
      remarked: (passage) => remarked.has(passage.segment_id),
      changed: (passage) => passage.differences !== null,
    }
    return passages.filter((passage) => passage.segment_id === openId || chosen[narrowed](passage))
  }, [passages, remarks, narrowed, openId])
}

const withPassage = (page: PassPage, passage: Passage): PassPage => ({
  ...page,
  passages: page.passages.map((one) => (one.segment_id === passage.segment_id ? passage : one)),
})

// The next one that is to be read, from the beginning again where there is none below.
function nextUnread(shown: Passage[], from: Passage) {
  const at = shown.findIndex(({ segment_id }) => segment_id === from.segment_id)
  const isLeft = ({ read, segment_id }: Passage) => !read && segment_id !== from.segment_id
  return shown.slice(at + 1).find(isLeft) ?? shown.find(isLeft)
}

// A term added from what is marked in source and target, without a form: into the termbases that take new
// terms, or into the one of a place. Where one of the two is not marked, two fields ask for it.
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { plain } from '../../shared/content'
import type { TermEntry } from '../../shared/types'
import { useAct } from '../../shared/useAct'
import { useOffer } from '../../shared/useOffer'
import { addPair, type AddedTerm } from '../queries'
import type { Halves } from './NewTerm'
import type { TermParts } from './useTerms'

interface Asked extends Halves {
  place?: number
}

export function useAddTerm({ segment, project, target, say }: TermParts, refresh: () => void) {
  const { t } = useTranslation()
  const { act } = useAct()
  const offer = useOffer('term')
  const tell = useTelling()
  const picked = usePicked(segment.id)
  const [asked, setAsked] = useState<Asked | null>(null)
  const send = (pair: Record<string, unknown>) =>
    void act(async () => {
      const { added } = await addPair(project.id, pair)
      refresh()
      const likely = added.find((one) => one.made === 'likely')
      if (likely) offer(tell(likely), t('terms.addAnyway'), () => send({ ...pair, anyway: true }))
      else say(added.map(tell).join(' '))
    })
  const add = (halves: Halves, place?: number) => {
    const around = plain(target.current?.value() ?? '', segment.codes)
    send({ ...halves, segment_id: segment.id, around, place })
  }
  const leave = () => {
    setAsked(null)
    target.current?.focus()
  }
  return {
    asked,
    leave,
    add: (place?: number) => {
      const halves = { source: picked.current, target: target.current?.selected().trim() ?? '' }
      if (halves.source && halves.target) add(halves, place)
      else setAsked({ ...halves, place })
    },
    addAsked: (halves: Halves) => {
      add(halves, asked?.place)
      leave()
    },
  }
}

const termsOf = (entry: TermEntry | null) =>
  (entry?.sections ?? []).flatMap((section) => section.terms.map((term) => term.text)).join(' · ')

// What came of it, in a sentence.
function useTelling() {
  const { t } = useTranslation()
  return ({ made, termbase, entry, likely }: AddedTerm) => {
    if (made === 'sent') return t('terms.sent', { termbase })
    if (made === 'there') return t('terms.there', { termbase })
    if (made === 'likely') return t('terms.likely', { termbase, terms: likely.map(termsOf).join('; ') })
    return t(made === 'joined' ? 'terms.joined' : 'terms.added', { termbase, terms: termsOf(entry) })
  }
}

// What was marked last in the source, also when something is marked in the target since.
function usePicked(segment: number) {
  const picked = useRef('')
  useEffect(() => {
    picked.current = ''
    const look = () => {
      const selection = window.getSelection()
      const anchor = selection?.anchorNode
      const element = anchor instanceof Element ? anchor : anchor?.parentElement
      const text = selection?.toString().trim()
      if (text && element?.closest('.card .source')) picked.current = text
    }
    document.addEventListener('selectionchange', look)
    return () => document.removeEventListener('selectionchange', look)
  }, [segment])
  return picked
}

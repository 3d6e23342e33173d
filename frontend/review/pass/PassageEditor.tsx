// The translation of the open passage being written: the editor of Translate, without what it offers there.
import { useEffect, useImperativeHandle, useMemo, useRef, type Ref } from 'react'
import { TargetEditor } from '../../translate/editor/TargetEditor'
import type { TargetHandle } from '../../translate/editor/targetHandle'
import type { Passage } from './queries'

interface Props {
  passage: Passage
  lang: string
  describedBy: string
  onChange: (value: string) => void
  ref: Ref<TargetHandle>
}
const nothingMisspelt = () => Promise.resolve([])
const nothingSaid = () => undefined

export function PassageEditor({ passage, lang, describedBy, onChange, ref }: Props) {
  const handle = useRef<TargetHandle>(null)
  useImperativeHandle(ref, () => handle.current!)
  useEffect(() => handle.current?.focus(), [])
  const segment = useMemo(
    () => ({
      position: passage.number,
      source: passage.source,
      target: passage.target,
      codes: passage.codes,
    }),
    [passage],
  )
  const complete = useMemo(
    () => ({ offers: () => [], codes: passage.codes, listsAfter: () => null, shows: () => false }),
    [passage.codes],
  )
  return (
    <TargetEditor
      ref={handle}
      {...{ segment, lang, describedBy, complete, onChange }}
      onSpell={nothingMisspelt}
      onDropped={nothingSaid}
    />
  )
}

// Every version of a segment, with its origin, author and time. Walked by the arrow keys; Space lays all the
// others beside one, what differs marked; Enter writes one again.
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { fullDate, time } from '../../shared/i18n'
import { originText } from '../../shared/origin'
import { Differing } from '../../shared/parts/Differing'
import { Moon } from '../../shared/parts/Moon'
import type { PastVersion, Segment, Version } from '../../shared/types'
import { Written } from '../../shared/Written'
import { usePast } from '../queries'
import type { Answer } from './useTurn'

interface Props {
  segment: Segment
  // A key has asked for it.
  answer?: Answer
  onRestore: (version: Version) => void
  onBack: () => void
}

export function Past({ segment, answer, onRestore, onBack }: Props) {
  const { t } = useTranslation()
  const [beside, setBeside] = useState<number | null>(null)
  const past = usePast(segment, beside)
  const versions = past.data ?? []
  const { list, walk } = useWalking(answer, versions.length)
  if (past.data && !versions.length) return <p className="quiet">{t('companion.noPast')}</p>
  const press = (event: KeyboardEvent, version: PastVersion, index: number) => {
    const done = walk(event, index)
    if (event.key === ' ') setBeside(beside === version.id ? null : version.id)
    else if (event.key === 'Enter') {
      onRestore(version)
      onBack()
    } else if (!done) return
    event.preventDefault()
  }
  return (
    <>
      <p className="small quiet">{t('companion.pastKeys')}</p>
      <ol className="past" ref={list}>
        {versions.map((version, index) => (
          <li key={version.id}>
            <div
              role="button"
              tabIndex={index ? -1 : 0}
              aria-pressed={version.id === beside}
              className="past-version"
              onClick={() => setBeside(beside === version.id ? null : version.id)}
              onKeyDown={(event) => press(event, version, index)}
            >
              <p className="small quiet about">
                <Moon state={version.state} /> {about(version)}
              </p>
              <p className="reading">
                <Wording {...{ version, segment, beside }} />
              </p>
            </div>
            {version.target !== segment.target && (
              <button type="button" className="link small" onClick={() => onRestore(version)}>
                {t('companion.restore')}
              </button>
            )}
          </li>
        ))}
      </ol>
    </>
  )

  function about({ target, origin, author, updated_at, edited }: PastVersion) {
    const from = target ? originText(origin, t) : ''
    const far = edited === undefined ? '' : t('companion.edited', { percent: edited })
    return [from, far, author, `${fullDate(updated_at)}, ${time(updated_at)}`].filter(Boolean).join(' · ')
  }
}

interface WordingProps {
  version: PastVersion
  segment: Segment
  beside: number | null
}
function Wording({ version, segment, beside }: WordingProps) {
  if (!version.differences || beside === null || version.id === beside)
    return <Written value={version.target} codes={segment.codes} />
  return <Differing text={version.text} differences={version.differences} />
}

// Focus among the versions: on the newest when a key asks for them, then by the arrows.
function useWalking(answer: Answer | undefined, count: number) {
  const list = useRef<HTMLOListElement>(null)
  const go = (index: number) => {
    const all = [...(list.current?.querySelectorAll<HTMLElement>('.past-version') ?? [])]
    all[Math.min(Math.max(index, 0), all.length - 1)]?.focus()
  }
  const there = count > 0
  useEffect(() => {
    if (there) answer?.(() => list.current?.querySelector<HTMLElement>('.past-version')?.focus())
  }, [answer, there])
  const walk = (event: KeyboardEvent, index: number) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
    if (step) go(index + step)
    return step !== undefined
  }
  return { list, walk }
}

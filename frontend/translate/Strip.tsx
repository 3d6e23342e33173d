// The strip: the whole text as a narrow map. Ink by state, a notch where
// there is a finding, a bracket for what is in view.
import { memo, useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { plain } from '../shared/content'
import type { Segment } from '../shared/types'
import { drawStrip, STEP } from './drawStrip'
import type { Marks } from './marks'

interface Props {
  segments: Segment[]
  // Changes whenever it would look otherwise.
  inked: number
  order: number[]
  from: number
  to: number
  open: number
  // How many are done.
  done: number
  mode: string
  marks: Marks
  onGo: (index: number) => void
}

export const Strip = memo(function Strip(props: Props) {
  const { segments, order, inked, from, to, open, done, mode, marks, onGo } = props
  const { t } = useTranslation()
  const latest = useRef(segments)
  latest.current = segments
  const canvas = useRef<HTMLCanvasElement>(null)
  const [high, setHigh] = useState(0)

  useEffect(() => {
    const element = canvas.current
    if (!element) return
    const draw = () => {
      drawStrip(element, latest.current, marks)
      setHigh(element.clientHeight)
    }
    draw()
    const watcher = new ResizeObserver(draw)
    watcher.observe(element)
    return () => watcher.disconnect()
  }, [order, inked, mode, marks])

  const scale = segments.length ? Math.min(STEP, high / segments.length) : 0
  const at = (event: React.MouseEvent<HTMLCanvasElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    return Math.max(
      0,
      Math.min(
        segments.length - 1,
        Math.floor((event.clientY - box.top) / Math.min(STEP, box.height / segments.length)),
      ),
    )
  }
  const name = (segment: Segment | undefined) =>
    segment && `${segment.position} · ${plain(segment.target || segment.source, segment.codes).slice(0, 120)}`
  return (
    <div className="strip">
      <canvas
        ref={canvas}
        role="img"
        aria-label={t('translate.strip', { done, total: segments.length })}
        onClick={(event) => onGo(at(event))}
        onMouseMove={(event) => {
          event.currentTarget.title = name(segments[at(event)]) ?? ''
        }}
      />
      <div
        className="in-view"
        style={{ top: 10 + from * scale - 3, height: Math.max(8, (to - from + 1) * scale + 5) }}
      />
      {open >= 0 && (
        <div className="opened" style={{ top: 10 + open * scale - 0.5, height: Math.max(2, scale) }} />
      )}
    </div>
  )
})

// The strip: the whole text as a narrow map. Ink by state, a bracket for what is in view.
import { memo, useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { plain } from '../shared/content'
import type { Segment } from '../shared/types'
import { isUnfinished } from './store'

interface Props {
  segments: Segment[]
  revision: number
  from: number
  to: number
  open: number
  mode: string
  onGo: (index: number) => void
}

// How dark a line is that stands for many segments: by the share of them that is done.
const ALL = 0.99
const HALF = 0.4
function shadeOf(share: number, drafted: boolean) {
  if (share > ALL) return 'translated'
  if (share > HALF) return 'half'
  return share > 0 || drafted ? 'draft' : 'untouched'
}

// How high a segment is drawn at most, in pixels.
const STEP = 4

export const Strip = memo(function Strip({ segments, revision, from, to, open, mode, onGo }: Props) {
  const { t } = useTranslation()
  const canvas = useRef<HTMLCanvasElement>(null)
  const [high, setHigh] = useState(0)
  const done = segments.filter((segment) => !isUnfinished(segment)).length

  useEffect(() => {
    const element = canvas.current
    if (!element) return
    const draw = () => {
      const ratio = window.devicePixelRatio || 1
      const { clientWidth: width, clientHeight: height } = element
      element.width = width * ratio
      element.height = height * ratio
      const pen = element.getContext('2d')
      if (!pen || !segments.length) return
      pen.scale(ratio, ratio)
      const style = getComputedStyle(document.documentElement)
      const ink = (name: string) => style.getPropertyValue(name).trim()
      const inks = {
        untouched: ink('--ink1'),
        draft: ink('--ink2'),
        translated: ink('--ink4'),
        reviewed: ink('--ink5'),
        final: ink('--ink5'),
      }
      const step = Math.min(STEP, height / segments.length)
      const inset = width > 30 ? 9 : 4
      if (step >= 2)
        segments.forEach((segment, index) => {
          pen.fillStyle = inks[segment.state]
          pen.fillRect(inset, index * step, width - inset * 2, Math.max(1, step - 1.2))
        })
      else {
        // More segments than lines: each line is as dark as the share of it that is done.
        const lines = Math.floor(height / 2)
        for (let line = 0; line < lines; line += 1) {
          const group = segments.slice(
            Math.floor((line * segments.length) / lines),
            Math.max(
              Math.floor(((line + 1) * segments.length) / lines),
              Math.floor((line * segments.length) / lines) + 1,
            ),
          )
          const share = group.filter((segment) => !isUnfinished(segment)).length / group.length
          const drafted = group.some((segment) => segment.state === 'draft')
          const shades = { ...inks, half: ink('--ink3') }
          pen.fillStyle = shades[shadeOf(share, drafted)]
          pen.fillRect(inset, line * 2, width - inset * 2, 1.2)
        }
      }
      const scale = step >= 2 ? step : height / segments.length
      pen.fillStyle = ink('--accent')
      segments.forEach((segment, index) => {
        if (segment.marked) {
          pen.beginPath()
          pen.moveTo(width - inset + 2, index * scale + 1)
          pen.lineTo(width - 1, index * scale - 2)
          pen.lineTo(width - 1, index * scale + 4)
          pen.fill()
        }
      })
      setHigh(height)
    }
    draw()
    const watcher = new ResizeObserver(draw)
    watcher.observe(element)
    return () => watcher.disconnect()
  }, [segments, revision, mode])

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

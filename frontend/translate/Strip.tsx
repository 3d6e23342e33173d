// The strip: the whole text as a narrow map. Ink by state, a bracket for what is in view.
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { plain } from '../shared/content'
import type { Segment } from '../shared/types'

interface Props { segments: Segment[]; revision: number; from: number; to: number; open: number; mode: string; onGo: (index: number) => void }

export function Strip({ segments, revision, from, to, open, mode, onGo }: Props) {
  const { t } = useTranslation()
  const canvas = useRef<HTMLCanvasElement>(null)
  const done = segments.filter((segment) => segment.state !== 'untouched' && segment.state !== 'draft').length

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
      const inks = { untouched: ink('--ink1'), draft: ink('--ink2'), translated: ink('--ink4'), reviewed: ink('--ink5'), final: ink('--ink5') }
      const step = Math.min(4, height / segments.length)
      const inset = width > 30 ? 9 : 4
      if (step >= 2) segments.forEach((segment, index) => { pen.fillStyle = inks[segment.state]; pen.fillRect(inset, index * step, width - inset * 2, Math.max(1, step - 1.2)) })
      else {
        // More segments than lines: each line is as dark as the share of it that is done.
        const lines = Math.floor(height / 2)
        for (let line = 0; line < lines; line += 1) {
          const group = segments.slice(Math.floor((line * segments.length) / lines), Math.max(Math.floor(((line + 1) * segments.length) / lines), Math.floor((line * segments.length) / lines) + 1))
          const share = group.filter((segment) => segment.state !== 'untouched' && segment.state !== 'draft').length / group.length
          pen.fillStyle = share > 0.99 ? inks.translated : share > 0.4 ? ink('--ink3') : share > 0 || group.some((segment) => segment.state === 'draft') ? inks.draft : inks.untouched
          pen.fillRect(inset, line * 2, width - inset * 2, 1.2)
        }
      }
      const scale = step >= 2 ? step : height / segments.length
      pen.fillStyle = ink('--accent')
      segments.forEach((segment, index) => { if (segment.marked) { pen.beginPath(); pen.moveTo(width - inset + 2, index * scale + 1); pen.lineTo(width - 1, index * scale - 2); pen.lineTo(width - 1, index * scale + 4); pen.fill() } })
      pen.strokeStyle = ink('--accent')
      pen.lineWidth = 1.2
      pen.beginPath()
      pen.roundRect(3, from * scale - 2.5, width - 6, Math.max(8, (to - from + 1) * scale + 3), 3)
      pen.stroke()
      if (open >= 0) { pen.fillStyle = ink('--accent'); pen.fillRect(3, open * scale - 0.5, width - 6, Math.max(2, scale)) }
    }
    draw()
    const watcher = new ResizeObserver(draw)
    watcher.observe(element)
    return () => watcher.disconnect()
  }, [segments, revision, from, to, open, mode])

  const at = (event: React.MouseEvent<HTMLCanvasElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    const step = Math.min(4, box.height / segments.length)
    return Math.max(0, Math.min(segments.length - 1, Math.floor((event.clientY - box.top) / step)))
  }
  return <div className="strip"><canvas ref={canvas} role="img" aria-label={t('translate.strip', { done, total: segments.length })} onClick={(event) => onGo(at(event))} onMouseMove={(event) => { const segment = segments[at(event)]; if (segment) event.currentTarget.title = `${segment.position} · ${plain(segment.target || segment.source, segment.codes).slice(0, 120)}` }} /></div>
}

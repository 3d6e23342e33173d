// The whole document as a thin strip: a line for each pair, or a group of them, inked by how sure it is; a press goes
// there.
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import type { Bead } from './queries'

interface Props {
  beads: Bead[]
  open: number | null
  onOpen: (place: number) => void
}

export function Confidence({ beads, open, onOpen }: Props) {
  const { t } = useTranslation()
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const element = canvas.current
    if (element) draw(element, beads, open)
  })
  return (
    <canvas
      ref={canvas}
      className="confidence"
      role="img"
      aria-label={t('align.strip')}
      onClick={(event) => {
        const { top, height } = event.currentTarget.getBoundingClientRect()
        const place = Math.floor((event.clientY - top) / scaleOf(height, beads.length))
        onOpen(Math.min(place, beads.length - 1))
      }}
    />
  )
}

const THICKEST = 9
const scaleOf = (height: number, count: number) => Math.min(height / count, THICKEST)
const INKS = 5

function draw(canvas: HTMLCanvasElement, beads: Bead[], open: number | null) {
  const ratio = window.devicePixelRatio || 1
  const { clientWidth: width, clientHeight: height } = canvas
  canvas.width = width * ratio
  canvas.height = height * ratio
  const pen = canvas.getContext('2d')
  if (!pen || !beads.length) return
  pen.scale(ratio, ratio)
  const style = getComputedStyle(document.documentElement)
  const ink = (name: string) => style.getPropertyValue(name).trim()
  const scale = scaleOf(height, beads.length)
  const line = Math.max(scale - 1, 0.75)
  beads.forEach(({ probability, set, state }, place) => {
    const sure = set || state === 'confirmed' ? 1 : (probability ?? 0)
    pen.fillStyle = ink(`--ink${Math.min(Math.max(Math.ceil(sure * INKS), 1), INKS)}`)
    pen.fillRect(0, place * scale, width * (0.25 + 0.75 * sure), line)
  })
  if (open === null) return
  pen.fillStyle = ink('--accent')
  pen.fillRect(0, open * scale - 1, width, Math.max(line, 2) + 2)
}

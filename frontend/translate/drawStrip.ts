// Draws the strip: a line for each segment, or for a group of them, with ink by state; a notch at bookmarks,
// one at the other edge at findings, a line across at the end of a file.
import type { Segment } from '../shared/types'
import type { Marks } from './marks'
import { isUnfinished } from './store'

// How high a segment is drawn at most, in pixels; from where on each has a line of its own.
export const STEP = 4
const OWN_LINE = 2
// How dark a line is that stands for many segments: by the share of them that is done.
const ALL = 0.99
const HALF = 0.4
const LINE = 1.2

function shadeOf(share: number, drafted: boolean) {
  if (share > ALL) return 'translated'
  if (share > HALF) return 'half'
  return share > 0 || drafted ? 'draft' : 'untouched'
}

interface Drawing {
  pen: CanvasRenderingContext2D
  segments: Segment[]
  width: number
  height: number
  inset: number
}

export function drawStrip(canvas: HTMLCanvasElement, segments: Segment[], marks: Marks) {
  const ratio = window.devicePixelRatio || 1
  const { clientWidth: width, clientHeight: height } = canvas
  canvas.width = width * ratio
  canvas.height = height * ratio
  const pen = canvas.getContext('2d')
  if (!pen || !segments.length) return
  pen.scale(ratio, ratio)
  const drawing = { pen, segments, width, height, inset: width > 30 ? 9 : 4 }
  const scale = Math.min(STEP, height / segments.length)
  if (scale >= OWN_LINE) drawEach(drawing, scale)
  else drawGroups(drawing)
  drawMarks(drawing, scale)
  drawFindings(drawing, scale, marks)
  drawBorders(drawing, scale)
}

const style = () => getComputedStyle(document.documentElement)
const ink = (name: string) => style().getPropertyValue(name).trim()
const inks = () => ({
  untouched: ink('--ink1'),
  draft: ink('--ink2'),
  half: ink('--ink3'),
  translated: ink('--ink4'),
  reviewed: ink('--ink5'),
  final: ink('--ink5'),
})

function drawEach({ pen, segments, width, inset }: Drawing, scale: number) {
  const shades = inks()
  segments.forEach((segment, index) => {
    pen.fillStyle = shades[segment.state]
    pen.fillRect(inset, index * scale, width - inset * 2, Math.max(1, scale - LINE))
  })
}

// More segments than lines: each line is as dark as the share of it that is done.
function drawGroups({ pen, segments, width, height, inset }: Drawing) {
  const shades = inks()
  const lines = Math.floor(height / OWN_LINE)
  const from = (line: number) => Math.floor((line * segments.length) / lines)
  for (let line = 0; line < lines; line += 1) {
    const group = segments.slice(from(line), Math.max(from(line + 1), from(line) + 1))
    const share = group.filter((segment) => !isUnfinished(segment)).length / group.length
    pen.fillStyle =
      shades[
        shadeOf(
          share,
          group.some((segment) => segment.state === 'draft'),
        )
      ]
    pen.fillRect(inset, line * OWN_LINE, width - inset * 2, LINE)
  }
}

function drawMarks({ pen, segments, width, inset }: Drawing, scale: number) {
  pen.fillStyle = ink('--accent')
  segments.forEach((segment, index) => {
    if (!segment.marked) return
    pen.beginPath()
    pen.moveTo(width - inset + 2, index * scale + 1)
    pen.lineTo(width - 1, index * scale - 2)
    pen.lineTo(width - 1, index * scale + 4)
    pen.fill()
  })
}

// On the opposite edge from bookmarks.
function drawFindings({ pen, segments, inset }: Drawing, scale: number, marks: Marks) {
  const shades = { 'must-fix': ink('--alarm'), look: ink('--ink4') }
  segments.forEach(({ id }, index) => {
    const mark = marks.get(id)
    if (!mark) return
    pen.fillStyle = shades[mark]
    pen.fillRect(1, index * scale, inset - 3, Math.max(2, scale - LINE))
  })
}

function drawBorders({ pen, segments, width }: Drawing, scale: number) {
  pen.fillStyle = ink('--second')
  segments.forEach((segment, index) => {
    const before = segments[index - 1]
    if (before && before.document_id !== segment.document_id)
      pen.fillRect(0, Math.round(index * scale) - 1, width, 1)
  })
}

// The sound under the line of cues.
import { useEffect, useRef } from 'react'
import { useSettings } from '../../shared/settings'
import { PEAKS_A_SECOND } from './wave'

interface Props {
  peaks: Float32Array
  // In seconds: what is in sight.
  from: number
  span: number
}
const HEIGHT = 28

export function Wave({ peaks, from, span }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const { mode } = useSettings()
  useEffect(() => {
    const drawing = canvas.current?.getContext('2d')
    if (!drawing || !canvas.current) return
    const { clientWidth: width } = canvas.current
    const sharp = window.devicePixelRatio
    canvas.current.width = width * sharp
    canvas.current.height = HEIGHT * sharp
    drawing.scale(sharp, sharp)
    drawing.fillStyle = getComputedStyle(canvas.current).color
    for (let x = 0; x < width; x += 1) {
      const peak = peaks[Math.floor((from + (x / width) * span) * PEAKS_A_SECOND)] ?? 0
      const height = Math.max(peak * HEIGHT, 0.5)
      drawing.fillRect(x, (HEIGHT - height) / 2, 1, height)
    }
  }, [from, mode, peaks, span])
  return <canvas ref={canvas} className="wave" aria-hidden="true" style={{ height: HEIGHT }} />
}

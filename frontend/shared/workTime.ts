// How long work takes and when it is done, as the core computes it (Glossema::Counting::Pace and WorkTime).
import { BANDS, type Bands, type Pace, type Rates, type Working } from './types'

const MINUTES = 60
const MOST_DAYS = 3660

// Hours a count takes: words of a band at its measured pace, the others by their weight at the usual one.
export function hoursOf(bands: Bands, weights: Rates['weights'], pace: Pace): number {
  return BANDS.reduce((hours, band) => {
    const words = bands[band]?.words ?? 0
    const measured = pace.bands[band]
    const weighted = (words * Number(weights?.[band] || 1)) / pace.words_per_hour
    return hours + (measured ? words / measured : weighted)
  }, 0)
}

function minuteOf(text: string) {
  const [hour, minute] = text.split(':').map(Number)
  return hour * MINUTES + minute
}

// When so many hours of work that begin at `start` are done, in the user's time zone; null where that is too
// far away.
export function doneAt(start: Date, hours: number, working: Working): Date | null {
  const [begin, end] = [minuteOf(working.from), minuteOf(working.to)]
  const now = start.getHours() * MINUTES + start.getMinutes() + (start.getSeconds() > 0 ? 1 : 0)
  let left = Math.ceil(hours * MINUTES)
  for (let day = 0; day < MOST_DAYS; day += 1) {
    const date = new Date(start.getFullYear(), start.getMonth(), start.getDate() + day)
    const from = day === 0 ? Math.max(now, begin) : begin
    const room = working.days.includes(date.getDay()) ? Math.max(end - from, 0) : 0
    if (room > 0 && left <= room) {
      date.setMinutes(from + left)
      return date
    }
    left -= room
  }
  return null
}

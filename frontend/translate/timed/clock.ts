// Times as they are read: on a film's clock, in the list of cues, in a card.
const pad = (number: number, digits = 2) => String(number).padStart(digits, '0')

// 0:42.1
export function short(seconds: number): string {
  const tenths = Math.floor(Math.abs(seconds) * 10 + 1e-6)
  const whole = Math.floor(tenths / 10)
  const hours = Math.floor(whole / 3600)
  const minutes = Math.floor(whole / 60) % 60
  const head = hours ? `${hours}:${pad(minutes)}` : String(minutes)
  return `${seconds < 0 ? '−' : ''}${head}:${pad(whole % 60)}.${tenths % 10}`
}

// 3:12
export const whole = (seconds: number) => short(Math.floor(seconds)).replace(/\.\d$/, '')

// 00:00:41.200
export function exactly(seconds: number): string {
  const all = Math.round(Math.abs(seconds) * 1000)
  const [thousandths, rest] = [all % 1000, Math.floor(all / 1000)]
  const parts = [Math.floor(rest / 3600), Math.floor(rest / 60) % 60, rest % 60].map((one) => pad(one))
  return `${seconds < 0 ? '−' : ''}${parts.join(':')}.${pad(thousandths, 3)}`
}

// The words of a text that a fix puts otherwise, to be shown where there is little room; '' where it only takes
// something out.
const LONGEST = 28
const BLANK = /\s/

export function changedPart(before: string, after: string): string {
  const shorter = Math.min(before.length, after.length)
  let head = 0
  while (head < shorter && before[head] === after[head]) head += 1
  let tail = 0
  while (tail < shorter - head && before.at(-1 - tail) === after.at(-1 - tail)) tail += 1
  const added = after.slice(head, after.length - tail)
  if (!added) return ''
  while (head > 0 && !BLANK.test(after[head - 1])) head -= 1
  while (tail > 0 && !BLANK.test(after[after.length - tail])) tail -= 1
  const words = after.slice(head, after.length - tail)
  return words.length > LONGEST ? `… ${words.slice(-LONGEST)}` : words
}

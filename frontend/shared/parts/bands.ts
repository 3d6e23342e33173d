// The groups of bands as they are drawn: dark is known.
import type { Band, BandGroup, BandGroups } from '../types'

const INKS: [BandGroup, string][] = [
  ['known', 'var(--ink5)'],
  ['repetition', 'var(--ink4)'],
  ['85', 'var(--ink3)'],
  ['50', 'var(--ink2)'],
  ['new', 'var(--ink1)'],
]

// The words of several files together.
export const drawn = (files: (BandGroups | null)[]) =>
  INKS.map(([name, ink]) => ({
    name,
    ink,
    words: files.reduce((sum, groups) => sum + (groups?.[name] ?? 0), 0),
  }))

// The ink of a band by itself.
const INK_OF_BAND: Record<Band, string> = {
  context: 'var(--ink5)',
  exact: 'var(--ink5)',
  repetition: 'var(--ink4)',
  '95-99': 'var(--ink3)',
  '85-94': 'var(--ink3)',
  '75-84': 'var(--ink2)',
  '50-74': 'var(--ink2)',
  new: 'var(--ink1)',
}

export const bandInk = (band: Band) => INK_OF_BAND[band]

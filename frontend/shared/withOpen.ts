// The rows in sight of a long list, with the open one, which keeps its editor when it is scrolled out of
// sight.
export const withOpen = (shown: number[], open: number) =>
  open < 0 || shown.includes(open) ? shown : [...shown, open].toSorted((one, other) => one - other)

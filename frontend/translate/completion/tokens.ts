// How completion cuts texts: words, tags and marks, each with the white space before it, so that joined they
// are the text again. The core does the same (Glossema::Completion::Tokens); both are held to
// core/spec/cases/completion.json.
const SPACE = ' \\t\\r\\n\\f\\v'
const PATTERN = new RegExp(
  `[${SPACE}]*(?:<[^<>${SPACE}][^<>]*>|[%$]?[\\p{L}\\p{M}\\p{N}_]+(?:[-'’.·_:/@][\\p{L}\\p{N}]+)*|[^${SPACE}])`,
  'gu',
)

export const tokensOf = (text: string): string[] => text.match(PATTERN) ?? []

export const withoutBlank = (token: string) => token.replace(/^[ \t\r\n\f\v]+/, '')
export const isBlank = (text: string) => /^[ \t\r\n\f\v]*$/.test(text)

// The tokens of a text with the first one as it stands inside texts: with a blank, and small where that is
// known.
export function asInside(tokens: string[], known: (token: string) => boolean): string[] {
  if (!tokens.length) return tokens
  const first = ` ${withoutBlank(tokens[0])}`
  const small = first.replace(/\p{L}/u, (letter) => letter.toLowerCase())
  return [known(small) ? small : first, ...tokens.slice(1)]
}

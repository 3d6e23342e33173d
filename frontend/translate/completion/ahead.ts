// Completions of the typed text, known as soon as a key is pressed: a product of general bigrams, bigrams of
// similar units, and translations of words that are not translated yet. The core computes the same
// (Glossema::Completion::Ahead); both share core/spec/cases/completion.json.
import { chosen } from './choice'
import { inGeneral, inUnitsLike, START, type Likely } from './likely'
import { asInside, isBlank, tokensOf } from './tokens'
import { thingsAfter } from './things'

export type Thing = [text: string, kind: string, likelihood: number]
export interface CompletionContext {
  source: string
  names: string[]
  ones: number[]
  twos: ([sum: number, kinds: number, pairs: number[]] | null)[]
  lexical: [place: number, chance: number][][]
  rarity: number[]
  like: [likeness: number, numbers: number[]][]
  things: Thing[]
}
// As the server gives it: does it hold what the machine gives, where that may be drawn from?
export interface KnownContext extends CompletionContext {
  machine?: boolean
}
export interface Offer {
  text: string
  kind: string
  // How sure it is that it follows, 0 to 1.
  likely: number
}
export type Found = Map<string, [likely: number, kind: string]>
type Ids = (number | null)[]
type Ranked = [id: number, likely: number][]

// How much each of the three counts (exponents), and what each gives at least.
const [GENERAL, LIKE, LEXICAL] = [0.25, 0.3, 0.6]
const FLOORS = [1e-7, 2e-4, 2e-4]
const UNLIKELY = 5e-5
// Of the likeliest so many are followed on, as deep, while they are as likely as this.
const [FIRST, DEEP, FOLLOWED, LEAST] = [15, 8, 0.02, 0.03]
const WIDE_AT_FIRST = 4
const WIDE = 2
// The likelihood of a word that was never seen, by how much of it is typed.
const [UNSEEN, UNSEEN_BEGUN, UNSEEN_LETTER] = [0.05, 0.006, 0.6]
const PART_OF_MARK = 0.3
// A word is taken to be translated when its translation is there, as surely as this.
const [TRANSLATED, SURE, HARDLY] = [0.2, 0.95, 0.02]
// A mark that ends a sentence, and how much of the source may be untranslated when it is offered.
const END_MARK = /^\s*[.!?…。！？]$/u
const LEFT = 0.2
const UNKNOWN = -1
const FIRST_TOKEN = 2
const TINY = 1e-9

const sumOf = (list: number[]) => list.reduce((sum, one) => sum + one, 0)

export class Ahead {
  private readonly numbers: Map<string, number>
  private readonly general: (last: number) => Likely
  private readonly like: (earlier: number, last: number) => Likely
  private readonly capital: boolean
  private readonly after = new Map<string, Ranked>()

  constructor(private readonly context: CompletionContext) {
    this.numbers = new Map(context.names.map((name, at) => [name, at] as const).slice(FIRST_TOKEN))
    this.general = inGeneral(context)
    this.like = inUnitsLike(context.like)
    this.capital = /^[^\p{L}]*\p{Lu}/u.test(context.source)
  }

  // Best first; each begins after the last letter of the prefix.
  offers(prefix: string, limit = 5): Offer[] {
    const found: Found = new Map()
    for (const [before, begun, weight] of readings(prefix)) this.goOn(before, begun, weight, found)
    const things = thingsAfter(this.context.things, this.context.source, prefix)
    things.forEach(([likely, kind], text) => better(found, text, likely, kind))
    return chosen(found, limit)
  }

  private ids(tokens: string[]): Ids {
    return asInside(tokens, (token) => this.numbers.has(token)).map(
      (token) => this.numbers.get(token) ?? null,
    )
  }

  private goOn(tokens: string[], begun: string, weight: number, found: Found) {
    const first = tokens.length === 0
    const typed = first ? begun.trimStart() : begun
    const before = this.ids(tokens)
    const list = this.following(before)
      .map(([id, likely]) => ({ id, likely, name: this.shown(id, first) }))
      .filter(({ name }) => name.startsWith(typed))
    const letters = typed.trim().length
    const unseen = letters ? UNSEEN_BEGUN * UNSEEN_LETTER ** letters : UNSEEN
    const sum = sumOf(list.map(({ likely }) => likely)) + unseen
    for (const { id, name, likely } of list.slice(0, FIRST)) {
      if (this.early(id, before)) continue
      const rest = name.slice(typed.length)
      const same = sumOf(list.map((other) => (other.name.startsWith(name) ? other.likely : 0)))
      better(found, rest, (same / sum) * weight, 'memory')
      const chance = (likely / sum) * weight
      if (chance > FOLLOWED) this.follow([...before, id], rest, chance, found, 0)
    }
  }

  // The first word of a text has a capital where the source has one.
  private shown(id: number, first: boolean) {
    const name = this.context.names[id]
    if (!first) return name
    const bare = name.trimStart()
    return this.capital && !bare.startsWith('<')
      ? bare.replace(/\p{L}/u, (letter) => letter.toUpperCase())
      : bare
  }

  private follow(before: Ids, text: string, likely: number, found: Found, depth: number) {
    if (depth >= DEEP) return
    const list = this.following(before)
    const blank = sumOf(list.map(([id, chance]) => (this.context.names[id].startsWith(' ') ? chance : 0)))
    better(found, `${text} `, blank * likely, 'memory')
    for (const [id, chance] of list.slice(0, depth ? WIDE : WIDE_AT_FIRST)) {
      if (chance * likely < LEAST || this.early(id, before)) continue
      const longer = text + this.context.names[id]
      better(found, longer, chance * likely, 'memory')
      this.follow([...before, id], longer, chance * likely, found, depth + 1)
    }
  }

  // Would it end the sentence before it is translated?
  private early(id: number, before: Ids): boolean {
    if (!END_MARK.test(this.context.names[id])) return false
    return sumOf(this.untranslated(before)) > sumOf(this.context.rarity) * LEFT
  }

  // How likely each token comes next after those before, the likeliest first.
  private following(before: Ids): Ranked {
    const key = before.join(' ')
    const known = this.after.get(key)
    if (known) return known
    const context = (back: number) => (before.length < back ? START : (before.at(-back) ?? UNKNOWN))
    const made = this.weigh(before, context(2), context(1))
    this.after.set(key, made)
    return made
  }

  private weigh(before: Ids, earlier: number, last: number): Ranked {
    const [general, like] = [this.general(last), this.like(earlier, last)]
    const open = this.untranslated(before)
    const sum = sumOf(open) + TINY
    const weights: Ranked = []
    let all = 0
    for (let id = FIRST_TOKEN; id < this.context.names.length; id += 1) {
      let lexical = 0
      for (const [at, chance] of this.context.lexical[id]) lexical += (chance * open[at]) / sum
      const weight =
        (general(id) + FLOORS[0]) ** GENERAL *
        (like(id) + FLOORS[1]) ** LIKE *
        (lexical + FLOORS[2]) ** LEXICAL
      all += weight
      weights.push([id, weight])
    }
    return weights
      .filter(([, weight]) => weight > all * UNLIKELY)
      .toSorted((one, other) => other[1] - one[1])
      .map(([id, weight]) => [id, weight / all])
  }

  // What each word of the source still counts: its rarity, less what is there of its translation.
  private untranslated(before: Ids): number[] {
    const left = this.context.rarity.map(() => 1)
    for (const id of before) {
      const chances = id === null ? [] : this.context.lexical[id]
      const sum = sumOf(chances.map(([, chance]) => chance))
      if (sum < HARDLY) continue
      const [at, chance] = chances.reduce((top, one) =>
        one[1] * left[one[0]] > top[1] * left[top[0]] ? one : top,
      )
      const share = chance / sum
      if (share > TRANSLATED) left[at] *= 1 - Math.min(share, SURE)
    }
    return left.map((value, at) => value * this.context.rarity[at])
  }
}

function better(found: Found, text: string, likely: number, kind: string) {
  if (likely > (found.get(text)?.[0] ?? 0)) found.set(text, [likely, kind])
}

// [[tokens before, what is begun, how likely] …]: the last token may be whole or the beginning of one.
function readings(prefix: string): [string[], string, number][] {
  const tokens = tokensOf(prefix)
  if (prefix === '' || isBlank(prefix.slice(-1))) return [[tokens, prefix === '' ? '' : ' ', 1]]
  const last = tokens[tokens.length - 1]
  const earlier = tokens.slice(0, -1)
  if (/[\p{L}\p{M}\p{N}]$/u.test(last)) return [[earlier, last, 1]]
  return [
    [tokens, '', 1],
    [earlier, last, PART_OF_MARK],
  ]
}

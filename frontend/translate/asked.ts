// Words that are looked up: which, on which side, how.
export interface Asked {
  text: string
  side: string
  way: string
}

// One letter is looked for only where it can be a word.
const WORDLIKE = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}]|../u
export const isEnough = (text: string) => WORDLIKE.test(text)

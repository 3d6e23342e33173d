// The group of rules whose pattern fits a language; the patterns are those of the file, matched here only to
// choose what is shown first.
import type { RuleGroup } from '../shared/types'

const fits = ({ pattern }: RuleGroup, language: string) => {
  try {
    return new RegExp(`^(?:${pattern})$`).test(language)
  } catch {
    return false
  }
}

export const groupOf = (groups: RuleGroup[], language: string) =>
  Math.max(
    groups.findIndex((group) => fits(group, language)),
    0,
  )

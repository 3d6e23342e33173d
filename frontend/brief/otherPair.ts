// Source and target, of a memory, a project, or nothing in particular.
export interface Pair {
  source_lang: string | null
  target_lang: string | null
}

// The pair of a memory where it is not the one it stands beside, else nothing.
export function otherPair(memory: Pair, beside: Pair) {
  const same = memory.source_lang === beside.source_lang && memory.target_lang === beside.target_lang
  return same ? '' : `${memory.source_lang} → ${memory.target_lang}`
}

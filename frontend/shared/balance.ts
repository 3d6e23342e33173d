// Which codes of a source a target lacks, as the core says it too (Content::Balance): both are held to the
// same cases.
import { codeParts, written, type CodePart } from './content'

// Codes of the source that the target does not have as often, in the source's order.
export function missingParts(source: string, target: string): CodePart[] {
  const left = new Map<string, number>()
  for (const part of codeParts(target)) left.set(written(part), (left.get(written(part)) ?? 0) + 1)
  return codeParts(source).filter((part) => {
    const count = left.get(written(part)) ?? 0
    left.set(written(part), count - 1)
    return count <= 0
  })
}

export const missingCodes = (source: string, target: string) => missingParts(source, target).map(written)

// Codes the target has more often than the source, in the target's order.
export const addedCodes = (source: string, target: string) => missingCodes(target, source)

// What somebody may do with a memory or a termbase: each right with all those before it, its owner everything.
import type { GivenRight, ShareRight } from '../shared/shapes'

export const RIGHTS: readonly GivenRight[] = ['view', 'add', 'edit', 'manage']

export const may = (right: ShareRight, needed: GivenRight) =>
  right === 'own' || RIGHTS.indexOf(right) >= RIGHTS.indexOf(needed)

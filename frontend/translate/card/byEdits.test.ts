import { expect, test } from 'vitest'
import type { Proposal } from '../../shared/types'
import { byEdits } from './byEdits'

const proposal = (id: string, kind: string, edits?: number) => ({ id, kind, edits }) as Proposal
const ids = (list: Proposal[]) => list.map(({ id }) => id)

test('a machine stands before what needs more changes, behind what needs fewer', () => {
  const matches = [proposal('m1', 'fuzzy', 12), proposal('m2', 'fuzzy', 38), proposal('put', 'assembled', 55)]
  const machines = [proposal('a', 'machine', 30), proposal('b', 'machine', 30)]
  expect(ids(byEdits(matches, machines))).toEqual(['m1', 'a', 'b', 'm2', 'put'])
})

test('what the file offers itself stays first, and without machines nothing moves', () => {
  const matches = [proposal('file', 'file'), proposal('m', 'fuzzy', 60)]
  expect(ids(byEdits(matches, [proposal('a', 'machine', 30)]))).toEqual(['file', 'a', 'm'])
  expect(byEdits(matches, [])).toBe(matches)
})

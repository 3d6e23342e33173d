import { expect, test } from 'vitest'
import type { Segment } from '../shared/types'
import { Doings, isWritten } from './doings'

const segment = (id: number, target: string, state = 'draft') =>
  ({ id, position: id * 10, target, state, origin: { kind: 'typed' } }) as Segment
const targets = (doings: ReturnType<Doings['takeBack']>) =>
  doings.map((doing) => (isWritten(doing) ? doing.before.target : `operation ${doing.operation}`))

test('writing in one segment and confirming it is one doing', () => {
  const doings = new Doings()
  doings.note(segment(1, '', 'untouched'), segment(1, 'a'))
  doings.note(segment(1, 'a'), segment(1, 'ab', 'translated'))
  expect(doings.list().map(({ before, after }) => [before.target, after.target])).toEqual([['', 'ab']])
  expect(targets(doings.takeBack())).toEqual([''])
  expect(doings.takeBack()).toEqual([])
  expect(doings.doAgain().map(({ after }) => after.target)).toEqual(['ab'])
})

test('how the text was cut is undone in its turn, and not redone', () => {
  const doings = new Doings()
  doings.note(segment(1, 'a'), segment(1, 'b'))
  doings.noteRecut(segment(2, 'x'), 77)
  doings.note(segment(3, 'c'), segment(3, 'd'))
  expect(targets(doings.takeBack())).toEqual(['c'])
  expect(targets(doings.takeBack())).toEqual(['operation 77'])
  expect(targets(doings.takeBack())).toEqual(['a'])
  expect(doings.doAgain().map(({ id }) => id)).toEqual([1])
  expect(doings.doAgain().map(({ id }) => id)).toEqual([3])
  expect(doings.doAgain()).toEqual([])
})

test('what was done to segments that are gone is forgotten, the others have new numbers', () => {
  const doings = new Doings()
  doings.note(segment(1, 'a'), segment(1, 'b'))
  doings.note(segment(2, 'c'), segment(2, 'd'))
  doings.settle(new Map([[2, 21]]))
  expect(doings.list().map(({ id, number }) => [id, number])).toEqual([[2, 21]])
})

test('several segments written together are one act', () => {
  const doings = new Doings()
  doings.together(() => {
    doings.note(segment(1, 'a'), segment(1, 'b'))
    doings.note(segment(2, 'c'), segment(2, 'd'))
  })
  expect(targets(doings.takeBack())).toEqual(['c', 'a'])
})

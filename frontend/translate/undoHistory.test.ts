import { expect, test } from 'vitest'
import type { Segment } from '../shared/types'
import { UndoHistory, isWritten } from './undoHistory'

const segment = (id: number, target: string, state = 'draft') =>
  ({ id, position: id * 10, target, state, origin: { kind: 'typed' } }) as Segment
const targets = (undoHistory: ReturnType<UndoHistory['takeBack']>) =>
  undoHistory.map((doing) => (isWritten(doing) ? doing.before.target : `operation ${doing.operation}`))

test('writing in one segment and confirming it is one doing', () => {
  const undoHistory = new UndoHistory()
  undoHistory.note(segment(1, '', 'untouched'), segment(1, 'a'))
  undoHistory.note(segment(1, 'a'), segment(1, 'ab', 'translated'))
  expect(undoHistory.list().map(({ before, after }) => [before.target, after.target])).toEqual([['', 'ab']])
  expect(targets(undoHistory.takeBack())).toEqual([''])
  expect(undoHistory.takeBack()).toEqual([])
  expect(undoHistory.doAgain().map(({ after }) => after.target)).toEqual(['ab'])
})

test('how the text was cut is undone in its turn, and not redone', () => {
  const undoHistory = new UndoHistory()
  undoHistory.note(segment(1, 'a'), segment(1, 'b'))
  undoHistory.noteRecut(segment(2, 'x'), 77)
  undoHistory.note(segment(3, 'c'), segment(3, 'd'))
  expect(targets(undoHistory.takeBack())).toEqual(['c'])
  expect(targets(undoHistory.takeBack())).toEqual(['operation 77'])
  expect(targets(undoHistory.takeBack())).toEqual(['a'])
  expect(undoHistory.doAgain().map(({ id }) => id)).toEqual([1])
  expect(undoHistory.doAgain().map(({ id }) => id)).toEqual([3])
  expect(undoHistory.doAgain()).toEqual([])
})

test('what was done to segments that are gone is forgotten, the others have new numbers', () => {
  const undoHistory = new UndoHistory()
  undoHistory.note(segment(1, 'a'), segment(1, 'b'))
  undoHistory.note(segment(2, 'c'), segment(2, 'd'))
  undoHistory.settle(new Map([[2, 21]]))
  expect(undoHistory.list().map(({ id, number }) => [id, number])).toEqual([[2, 21]])
})

test('several segments written together are one act', () => {
  const undoHistory = new UndoHistory()
  undoHistory.together(() => {
    undoHistory.note(segment(1, 'a'), segment(1, 'b'))
    undoHistory.note(segment(2, 'c'), segment(2, 'd'))
  })
  expect(targets(undoHistory.takeBack())).toEqual(['c', 'a'])
})

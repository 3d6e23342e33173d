import { expect, it } from 'vitest'
import { may, RIGHTS } from './rights'

it('holds with each right all those before it, and its owner every one', () => {
  const allowed = [...RIGHTS, 'own' as const].map(
    (right) => RIGHTS.filter((needed) => may(right, needed)).length,
  )
  expect(allowed).toEqual([1, 2, 3, 4, 4])
})

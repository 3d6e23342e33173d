// A key that asks for a view moves the focus there once: what is opened afterwards leaves it in the text.
import { useCallback, useRef } from 'react'

export type Answer = (move: () => void) => void

// turn: how many times a key has asked. The answer is a new one at each turn.
export function useTurn(turn: number): Answer {
  const answered = useRef(0)
  return useCallback(
    (move) => {
      if (turn <= answered.current) return
      answered.current = turn
      move()
    },
    [turn],
  )
}

// Where the keyboard is: focus goes into what opens, back to what opened it, and never to nowhere.
import { useEffect, useRef, useState } from 'react'

const FOCUSABLE =
  'button:not(:disabled), [href], input:not(:disabled), select:not(:disabled), textarea:not(:disabled), ' +
  '[contenteditable="true"], [tabindex]:not([tabindex="-1"])'

const places = (inside: Element) =>
  [...inside.querySelectorAll<HTMLElement>(FOCUSABLE)].filter((one) => one.checkVisibility())
const nowhere = () => document.activeElement === document.body || document.activeElement === null

// A button and what it opens. `inside` is given to what opens; focus goes to what is chosen there, or to the
// first place; when it closes with focus inside or nowhere, focus is on the button again.
export function useOpened<Opener extends HTMLElement = HTMLButtonElement>() {
  const [open, setOpen] = useState(false)
  const opener = useRef<Opener>(null)
  const inside = useRef<HTMLDivElement>(null)
  const wasOpen = useRef(false)
  useEffect(() => {
    if (open) {
      wasOpen.current = true
      // What floats is shown once it has found its place.
      const timer = window.setInterval(() => {
        const box = inside.current
        const first = box && (box.querySelector<HTMLElement>('[aria-pressed="true"]') ?? places(box)[0])
        if (!first?.checkVisibility({ visibilityProperty: true })) return
        window.clearInterval(timer)
        if (!box!.contains(document.activeElement)) first.focus()
      }, 16)
      return () => window.clearInterval(timer)
    }
    if (!wasOpen.current) return
    wasOpen.current = false
    if (nowhere() || inside.current?.contains(document.activeElement)) opener.current?.focus()
  }, [open])
  return { open, setOpen, opener, inside }
}

// A value that turns into a field and back: the button is focused again once the field is gone.
export function useInPlace() {
  const [editing, setEditing] = useState(false)
  const button = useRef<HTMLButtonElement>(null)
  const wasEditing = useRef(false)
  useEffect(() => {
    if (editing) wasEditing.current = true
    else if (wasEditing.current) {
      wasEditing.current = false
      if (nowhere()) button.current?.focus()
    }
  }, [editing])
  return { editing, setEditing, button }
}

interface Seen {
  element: HTMLElement
  // Its ancestors from the inside out, each with the rank of the element among the places in it.
  line: [Element, number][]
}

const seen = (element: HTMLElement): Seen => {
  const line: [Element, number][] = []
  for (let one = element.parentElement; one && one !== document.body; one = one.parentElement)
    line.push([one, Math.max(0, places(one).indexOf(element))])
  return { element, line }
}

const rootOf = (one: Seen) => one.line[one.line.length - 1]?.[0]

// When what had focus goes, what stands nearest to where it was takes it; and where a layer above the page
// goes, what had focus before that layer.
export function keepFocus() {
  let last: Seen | null = null
  let below: Seen | null = null
  const nearest = (from: Seen | null): HTMLElement | undefined => {
    if (from?.element.isConnected && from.element.checkVisibility()) return from.element
    for (const [ancestor, rank] of from?.line ?? []) {
      if (!ancestor.isConnected) continue
      const list = places(ancestor)
      if (list.length) return list[Math.min(rank, list.length - 1)]
    }
  }
  const mend = () => {
    if (!last || !nowhere()) return
    if (last.element.isConnected && !last.element.matches(':disabled')) return
    const place = nearest(last) ?? nearest(below) ?? document.querySelector<HTMLElement>('#content')
    place?.focus({ preventScroll: true })
  }
  document.addEventListener('focusin', (event) => {
    const now = seen(event.target as HTMLElement)
    if (last && rootOf(now) !== rootOf(last)) below = last
    last = now
  })
  let timer = 0
  // What comes instead may take focus by itself within a moment.
  new MutationObserver(() => {
    if (!nowhere() || timer) return
    timer = window.setTimeout(() => {
      timer = 0
      mend()
    }, 60)
  }).observe(document.body, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled'],
  })
}

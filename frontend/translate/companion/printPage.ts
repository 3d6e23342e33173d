// A page by itself on paper: in a frame of its own that goes again once it is printed.
export function printPage(page: HTMLElement | null) {
  if (!page) return
  const frame = document.createElement('iframe')
  frame.className = 'hidden-text'
  document.body.append(frame)
  const sheet = frame.contentDocument!
  document
    .querySelectorAll('link[rel=stylesheet], style')
    .forEach((style) => sheet.head.append(style.cloneNode(true)))
  sheet.documentElement.lang = document.documentElement.lang
  sheet.body.className = 'printed'
  sheet.body.append(page.cloneNode(true))
  const print = () => {
    frame.contentWindow!.addEventListener('afterprint', () => frame.remove())
    frame.contentWindow!.print()
  }
  // Its styles are there in a moment.
  window.setTimeout(print, 150)
}

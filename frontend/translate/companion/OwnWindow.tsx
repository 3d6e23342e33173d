// What stands in it is drawn in a window of its own, for a second screen; it follows like everything else here.
import { createCache, StyleProvider } from '@ant-design/cssinjs'
import { ConfigProvider } from 'antd'
import { useEffect, useState, type ReactNode } from 'react'
import { createPortal } from 'react-dom'

interface Props {
  title: string
  onClose: () => void
  children: ReactNode
}

export function OwnWindow({ title, onClose, children }: Props) {
  const [own, setOwn] = useState<Window | null>(null)
  const [cache] = useState(() => createCache())
  useEffect(() => {
    const opened = window.open('', 'glossema-companion', 'width=560,height=860')
    // The browser let no window open.
    if (!opened) return onClose()
    dress(opened, title)
    setOwn(opened)
    const close = () => opened.close()
    opened.addEventListener('pagehide', onClose)
    window.addEventListener('pagehide', close)
    return () => {
      opened.removeEventListener('pagehide', onClose)
      window.removeEventListener('pagehide', close)
      close()
    }
    // It is opened once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [])
  if (!own) return null
  return createPortal(
    <StyleProvider cache={cache} container={own.document.head}>
      <ConfigProvider getPopupContainer={() => own.document.body}>{children}</ConfigProvider>
    </StyleProvider>,
    own.document.body,
  )
}

// As the window it came from.
function dress(own: Window, title: string) {
  const { head, body, documentElement } = own.document
  head.replaceChildren(
    ...[...document.querySelectorAll('link[rel=stylesheet], style')].map((style) => style.cloneNode(true)),
  )
  own.document.title = title
  body.replaceChildren()
  body.className = 'own-window'
  documentElement.lang = document.documentElement.lang
  documentElement.dataset.theme = document.documentElement.dataset.theme
}

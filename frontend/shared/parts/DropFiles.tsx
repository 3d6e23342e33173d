// A place to drop files or choose them.
import { useState, type ReactNode } from 'react'

export function DropFiles({
  onFiles,
  slim,
  children,
}: {
  onFiles: (files: File[]) => void
  slim?: boolean
  children: ReactNode
}) {
  const [over, setOver] = useState(false)
  return (
    <label
      className={`drop${slim ? ' slim' : ''}${over ? ' over' : ''}`}
      style={{ cursor: 'pointer' }}
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault()
        event.stopPropagation()
        setOver(false)
        onFiles([...event.dataTransfer.files])
      }}
    >
      {children}
      <input
        type="file"
        multiple
        className="hidden-text"
        onChange={(event) => {
          const files = [...(event.target.files ?? [])]
          event.target.value = ''
          if (files.length) onFiles(files)
        }}
      />
    </label>
  )
}

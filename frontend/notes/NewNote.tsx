// A field for a new note, kept by its button or Ctrl Enter; a tick makes it a question to the client.
import { Button, Checkbox, Input } from 'antd'
import { useEffect, useRef, useState } from 'react'
import type { TextAreaRef } from 'antd/es/input/TextArea'
import { useTranslation } from 'react-i18next'
import { KEYS, matches } from '../shared/keys'
import type { Note } from '../shared/types'
import { useAct } from '../shared/useAct'
import { addNote, useRefreshNotes } from './queries'

interface Props {
  project: number
  on: { segment_id: number } | { document_id: number }
  // A key has asked for the field: it takes the focus.
  answer?: (move: () => void) => void
  onKept?: () => void
}

export function NewNote({ project, on, answer, onKept }: Props) {
  const { t } = useTranslation()
  const { act, busy } = useAct()
  const refresh = useRefreshNotes(project)
  const field = useRef<TextAreaRef>(null)
  const [text, setText] = useState('')
  const [kind, setKind] = useState<Note['kind']>('note')
  useEffect(() => answer?.(() => field.current?.focus()), [answer])
  const keep = () =>
    void act(async () => {
      await addNote(project, { ...on, text, kind })
      setText('')
      setKind('note')
      await refresh()
      onKept?.()
    })
  return (
    <div className="new-note">
      <Input.TextArea
        ref={field}
        autoSize={{ minRows: 2, maxRows: 10 }}
        aria-label={t('notes.new')}
        placeholder={t('notes.new')}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (!matches(event, KEYS.finish)) return
          event.preventDefault()
          event.stopPropagation()
          if (text.trim()) keep()
        }}
      />
      <p className="presses">
        <Checkbox
          checked={kind === 'question'}
          onChange={(event) => setKind(event.target.checked ? 'question' : 'note')}
        >
          {t('notes.toClient')}
        </Checkbox>
        <Button size="small" disabled={!text.trim()} loading={busy} onClick={keep}>
          {t('notes.keep')}
        </Button>
      </p>
    </div>
  )
}

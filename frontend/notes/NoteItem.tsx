// One note: who wrote it when, its text changed in place, a question with its answer; settled or taken away,
// with a way back.
import { useTranslation } from 'react-i18next'
import { fullDate, time } from '../shared/i18n'
import { LongInPlace } from '../shared/parts/LongInPlace'
import type { Note } from '../shared/types'
import { useAct } from '../shared/useAct'
import { KindOf } from '../shared/parts/KindOf'
import { useOffer } from '../shared/useOffer'
import { changeNote, removeNote, useRefreshNotes } from './queries'

export function NoteItem({ note, project }: { note: Note; project: number }) {
  const { t } = useTranslation()
  const { change, remove } = useChanging(note, project)
  const settled = note.settled_at !== null
  return (
    <li className={`note ${note.kind}${settled ? ' settled' : ''}`}>
      <p className="small quiet">
        {note.kind === 'question' && <b>{t('notes.question')} </b>}
        <KindOf remark={note} />
        {[note.author, `${fullDate(note.created_at)}, ${time(note.created_at)}`].join(' · ')}
        {settled && ` · ${t('notes.settled')}`}
      </p>
      {note.spot && <q className="reading">{note.spot.text}</q>}
      <LongInPlace label={t('notes.text')} blank="" value={note.text} onChange={(text) => change({ text })} />
      {note.kind === 'question' && (
        <div className="answer">
          <LongInPlace
            label={t('notes.answer')}
            blank={t('notes.noAnswer')}
            value={note.answer}
            onChange={(answer) => change({ answer })}
          />
          {note.answered_by && (
            <p className="small quiet">
              {note.answered_by} · {fullDate(note.answered_at!)}
            </p>
          )}
        </div>
      )}
      <p className="presses small">
        <button type="button" className="link" onClick={() => change({ settled: !settled })}>
          {t(settled ? 'notes.reopen' : 'notes.settle')}
        </button>
        {note.kind === 'note' && (
          <button type="button" className="link" onClick={() => change({ kind: 'question' })}>
            {t('notes.asQuestion')}
          </button>
        )}
        <button type="button" className="link" onClick={remove}>
          {t('notes.remove')}
        </button>
      </p>
    </li>
  )
}

function useChanging(note: Note, project: number) {
  const { t } = useTranslation()
  const { act } = useAct()
  const offer = useOffer('note')
  const refresh = useRefreshNotes(project)
  const change = (fields: Record<string, unknown>) =>
    void act(async () => {
      await changeNote(note.id, fields)
      await refresh()
    })
  const remove = () =>
    void act(async () => {
      await removeNote(note.id)
      await refresh()
      offer(t('notes.removed'), t('app.undo'), () => change({ deleted: false }))
    })
  return { change, remove }
}

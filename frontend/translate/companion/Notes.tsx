// Notes beside the text: what the file says of the open segment, what was noted on it, and on its file.
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { NewNote } from '../../notes/NewNote'
import { NoteItem } from '../../notes/NoteItem'
import { useNotes } from '../../notes/queries'
import '../../notes/notes.css'
import type { Project, Segment } from '../../shared/types'
import type { Answer } from './useTurn'

interface Props {
  project: Project
  open: Segment | null
  document: number
  // A key has asked for them.
  answer?: Answer
  onBack: () => void
}

export function Notes({ project, open, document, answer, onBack }: Props) {
  const { t } = useTranslation()
  const all = useNotes(project.id)
  const own = all.filter((note) => open && note.segment_id === open.id)
  const ofFile = all.filter((note) => note.document_id === document && note.segment_id === null)
  const questions = all.filter((note) => note.kind === 'question' && !note.settled_at).length
  return (
    <div className="notes">
      {open && (
        <section aria-label={t('notes.onSegment', { number: open.position })}>
          <h2 className="small">{t('notes.onSegment', { number: open.position })}</h2>
          {open.note && <p className="from-file">{t('notes.fromFile', { note: open.note })}</p>}
          <ul>
            {own.map((note) => (
              <NoteItem key={note.id} note={note} project={project.id} />
            ))}
          </ul>
          <NewNote
            key={open.id}
            project={project.id}
            on={{ segment_id: open.id }}
            answer={answer}
            onKept={onBack}
          />
        </section>
      )}
      <section aria-label={t('notes.onFile')}>
        <h2 className="small">{t('notes.onFile')}</h2>
        <ul>
          {ofFile.map((note) => (
            <NoteItem key={note.id} note={note} project={project.id} />
          ))}
        </ul>
        <NewNote key={document} project={project.id} on={{ document_id: document }} />
      </section>
      <p className="small">
        <Link className="plain-link" to={`/projects/${project.id}/questions`}>
          {t('notes.allQuestions', { count: questions })}
        </Link>
      </p>
    </div>
  )
}

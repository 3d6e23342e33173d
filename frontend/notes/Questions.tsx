// The questions of a project to its client: asked, answered here or in a file that goes out and comes back.
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { DropFiles } from '../shared/parts/DropFiles'
import type { Note } from '../shared/types'
import { useAct } from '../shared/useAct'
import { useOffer } from '../shared/useOffer'
import { useProject } from '../shared/useProject'
import { plain } from '../shared/content'
import { NoteItem } from './NoteItem'
import { sheetAddress, takeAnswersIn, useNotes, useRefreshNotes } from './queries'
import './notes.css'

export function Questions() {
  const { t } = useTranslation()
  const id = Number(useParams().id)
  const project = useProject(id)
  const questions = useNotes(id).filter((note) => note.kind === 'question')
  const open = questions.filter((note) => !note.settled_at)
  const settled = questions.filter((note) => note.settled_at)
  if (!project.data)
    return (
      <Frame>
        {project.error ? <Failure error={project.error} again={() => void project.refetch()} /> : <Waiting />}
      </Frame>
    )
  return (
    <Frame project={project.data}>
      <div className="sheet-view questions">
        <h1>{t('notes.questions')}</h1>
        {open.length ? <Exchange project={id} /> : <p className="quiet">{t('notes.none')}</p>}
        <List notes={open} project={id} />
        {settled.length > 0 && (
          <>
            <h2>{t('notes.settledOnes')}</h2>
            <List notes={settled} project={id} />
          </>
        )}
      </div>
    </Frame>
  )
}

function List({ notes, project }: { notes: Note[]; project: number }) {
  return (
    <ol className="question-list">
      {notes.map((note) => (
        <li key={note.id}>
          <Where note={note} project={project} />
          <ul>
            <NoteItem note={note} project={project} />
          </ul>
        </li>
      ))}
    </ol>
  )
}

function Where({ note, project }: { note: Note; project: number }) {
  return (
    <div>
      <p className="small quiet">
        <span className="tab">Q{note.id}</span> ·{' '}
        {note.segment_id ? (
          <Link className="plain-link" to={`/projects/${project}/translate#${note.segment_id}`}>
            {[note.file, note.number].filter(Boolean).join(', ')}
          </Link>
        ) : (
          note.file
        )}
      </p>
      <p className="reading">{plain(note.source ?? '')}</p>
      {note.target && <p className="reading receding">{note.target}</p>}
    </div>
  )
}

// Out as a file, and the answers back from it.
function Exchange({ project }: { project: number }) {
  const { t } = useTranslation()
  const { act } = useAct()
  const say = useOffer('answers')
  const refresh = useRefreshNotes(project)
  const take = ([file]: File[]) =>
    void act(async () => {
      const { taken, same, strange } = await takeAnswersIn(project, file)
      await refresh()
      const said = [t('notes.taken', { count: taken }), t('notes.unanswered', { count: same })]
      if (strange.length) said.push(t('notes.strange', { list: strange.map((one) => `Q${one}`).join(', ') }))
      say(said.join(' '), t('app.close'), () => undefined)
    })
  return (
    <>
      <p className="presses">
        {(['docx', 'xlsx'] as const).map((form) => (
          <a key={form} className="link" href={sheetAddress(project, form)} download>
            {t('notes.out', { form: form.toUpperCase() })}
          </a>
        ))}
      </p>
      <DropFiles slim onFiles={take}>
        {t('notes.back')}
      </DropFiles>
    </>
  )
}

// The frame of every view: the bar at the top, the commands, the view.
import { useEffect, useState, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, NavLink } from 'react-router'
import { Tray } from '../operations/Tray'
import { useProjectCommands } from '../projects/ThisProject'
import { ItsServer } from '../servers/ItsServer'
import { Tour } from '../tour/Tour'
import { KEYS, matches } from './keys'
import { KeySheet } from './KeySheet'
import { Palette } from './palette/Palette'
import { Key } from './parts/Key'
import { linkClass, Stages, type Progress } from './Stages'
import type { Project } from './types'
import { useReminder } from './useReminder'
import { YourMenu } from './YourMenu'

interface Props {
  project?: Project
  words?: Progress
  children: ReactNode
}

export function Frame({ project, words, children }: Props) {
  const { t } = useTranslation()
  const [palette, setPalette] = useState(false)
  const [sheet, setSheet] = useState(false)
  useReminder()
  useProjectCommands(project)
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const wanted = matches(event, KEYS.palette)
      if (!wanted && !matches(event, KEYS.sheet)) return
      event.preventDefault()
      if (wanted) setPalette(true)
      else setSheet(true)
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [])
  return (
    <div className="frame">
      <a className="skip" href="#content">
        {t('app.skip')}
      </a>
      <header className="top">
        <Link className="mark" to="/" aria-label="Glossema">
          Glosse<i>ma</i>
        </Link>
        {project ? <Stages project={project} words={words} /> : <Places />}
        <Tray />
        <YourMenu short={!!project} />
        <button type="button" className="tool" aria-label={t('app.search')} onClick={() => setPalette(true)}>
          <Key keys={KEYS.palette} />
        </button>
      </header>
      {project?.server?.said && <ItsServer project={project} />}
      <main className="view" id="content" tabIndex={-1}>
        {children}
      </main>
      <Tour />
      {sheet && <KeySheet onClose={() => setSheet(false)} />}
      {palette && (
        <Palette onClose={() => setPalette(false)} onSheet={() => setSheet(true)} project={project} />
      )}
    </div>
  )
}

// Where one can go outside a project.
function Places() {
  const { t } = useTranslation()
  return (
    <>
      <nav aria-label="Glossema">
        <NavLink className={linkClass} to="/" end>
          {t('app.today')}
        </NavLink>
        <NavLink className={linkClass} to="/projects" end>
          {t('projects.title')}
        </NavLink>
        <NavLink className={linkClass} to="/clients">
          {t('clients.title')}
        </NavLink>
        <NavLink className={linkClass} to="/memories">
          {t('app.memories')}
        </NavLink>
        <NavLink className={linkClass} to="/termbases">
          {t('app.termbases')}
        </NavLink>
        <NavLink className={linkClass} to="/align">
          {t('align.title')}
        </NavLink>
      </nav>
      <div className="push" />
    </>
  )
}

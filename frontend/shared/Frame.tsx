// The frame of every view: the bar at the top, the commands, what is said when something fails.
import { Dropdown } from 'antd'
import { useEffect, useState, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, NavLink } from 'react-router'
import { api } from './api'
import { daysUntil, longDate, number, time, weekday } from './i18n'
import { KEYS, matches } from './keys'
import { Palette } from './Palette'
import { Key } from './parts'
import { useSettings } from './settings'
import type { Project } from './types'

const linkClass = ({ isActive }: { isActive: boolean }) => (isActive ? 'on' : '')

export function Frame({
  project,
  words,
  children,
}: {
  project?: Project
  words?: { done: number; total: number }
  children: ReactNode
}) {
  const { t } = useTranslation()
  const { user, mode, setMode } = useSettings()
  const [palette, setPalette] = useState(false)
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (matches(event, KEYS.palette)) {
        event.preventDefault()
        setPalette(true)
      }
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [])
  const signOut = () =>
    void api.delete('/session').then(() => {
      window.location.href = '/'
    })
  return (
    <div className="frame">
      <a className="skip" href="#content">
        {t('app.skip')}
      </a>
      <header className="top">
        <Link className="mark" to="/" aria-label="Glossema">
          Glosse<i>ma</i>
        </Link>
        {project ? (
          <>
            <div className="where">
              {project.begun_at ? (
                <>
                  <b>{project.reference}</b> · {project.name} · {project.source_lang} → {project.target_lang}
                </>
              ) : (
                <>
                  <b>{t('newProject')}</b> · {t('notKept')}
                </>
              )}
            </div>
            <nav aria-label={t('stages.label')}>
              <NavLink className={linkClass} to={`/projects/${project.id}/brief`}>
                {t('stages.brief')}
              </NavLink>
              {project.begun_at && (
                <NavLink className={linkClass} to={`/projects/${project.id}/translate`}>
                  {t('stages.translate')}
                </NavLink>
              )}
              {project.begun_at && (
                <NavLink className={linkClass} to={`/projects/${project.id}/deliver`}>
                  {t('stages.deliver')}
                </NavLink>
              )}
            </nav>
            {words && project.begun_at && (
              <div className="amount">
                <b className="tab">{number(words.done)}</b>{' '}
                {t('progress', { done: '', total: number(words.total) }).trim()}
                {project.due_at && (
                  <>
                    <br />
                    {t('due', { when: dueText(project.due_at) })}
                  </>
                )}
              </div>
            )}
          </>
        ) : (
          <>
            <nav aria-label="Glossema">
              <NavLink className={linkClass} to="/" end>
                {t('app.today')}
              </NavLink>
              <NavLink className={linkClass} to="/memories">
                {t('app.memories')}
              </NavLink>
            </nav>
            <div className="push" />
          </>
        )}
        <Dropdown
          trigger={['click']}
          menu={{
            items: [
              {
                key: 'mode',
                label: mode === 'dark' ? t('app.light') : t('app.dark'),
                onClick: () => setMode(mode === 'dark' ? 'light' : 'dark'),
              },
              { key: 'rules', label: <Link to="/settings/rules">{t('rules.title')}</Link> },
              { key: 'account', label: <Link to="/settings/account">{t('account.title')}</Link> },
              { key: 'away', label: <Link to="/settings/put-away">{t('putAway.title')}</Link> },
              { key: 'out', label: t('app.signOut'), onClick: signOut },
            ],
          }}
        >
          <button type="button" className="tool" aria-label={`${t('app.menu')}: ${user.name}`}>
            {project
              ? user.name
                  .split(' ')
                  .map((word) => word[0])
                  .join('')
              : user.name}
          </button>
        </Dropdown>
        <button type="button" className="tool" aria-label={t('app.search')} onClick={() => setPalette(true)}>
          <Key keys={KEYS.palette} />
        </button>
      </header>
      <main className="view" id="content" tabIndex={-1}>
        {children}
      </main>
      {palette && <Palette onClose={() => setPalette(false)} project={project} />}
    </div>
  )
}

function dueText(iso: string) {
  const days = daysUntil(iso)
  return `${days >= 0 && days < 7 ? weekday(iso) : longDate(iso)}, ${time(iso)}`
}

// Shown only when waiting takes long enough to be noticed.
export function Waiting() {
  const { t } = useTranslation()
  return (
    <div className="notice late" role="status">
      {t('app.loading')}
    </div>
  )
}

export function Failure({ error, again }: { error: unknown; again?: () => void }) {
  const { t } = useTranslation()
  const message = error instanceof Error && error.message !== 'offline' ? error.message : t('app.offline')
  return (
    <div className="notice" role="alert">
      <p>{t('app.failed', { message })}</p>
      {again && (
        <button type="button" className="link" onClick={again}>
          {t('app.again')}
        </button>
      )}
      <Link className="link" to="/">
        {t('app.toToday')}
      </Link>
    </div>
  )
}

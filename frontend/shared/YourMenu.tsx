// The user menu: appearance, settings, trash, sign out.
import { memo, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { api } from './api'
import { useOpened } from './focus'
import { Floating } from './parts/Floating'
import { useSettings } from './settings'

const initials = (name: string) =>
  name
    .split(' ')
    .map((word) => word[0])
    .join('')

// What is only for the owner of the installation.
const HERS = '/settings/backups'

const PLACES = [
  ['guide.title', '/guide'],
  ['rules.title', '/settings/rules'],
  ['account.title', '/settings/account'],
  ['keys.title', '/settings/keys'],
  ['machine.title', '/settings/machine'],
  ['backups.title', '/settings/backups'],
  ['trash.title', '/settings/trash'],
] as const

export const placesOf = (user: { owner: boolean }) =>
  PLACES.filter(([, address]) => user.owner || address !== HERS)

export const signOut = () =>
  void api.delete('/session').then(() => {
    window.location.href = '/'
  })

export const YourMenu = memo(function YourMenu({ short }: { short: boolean }) {
  const { t } = useTranslation()
  const { user, mode, setMode } = useSettings()
  const { open, setOpen, opener, inside } = useOpened()
  const name = `${t('app.menu')}: ${user.name}`
  const act = (label: ReactNode, run: () => void) => (
    <button
      type="button"
      onClick={() => {
        setOpen(false)
        run()
      }}
    >
      {label}
    </button>
  )
  return (
    <Floating
      label={name}
      placement="bottomRight"
      {...{ open, setOpen, inside }}
      content={
        <div className="menu-in-place">
          {act(mode === 'dark' ? t('app.light') : t('app.dark'), () =>
            setMode(mode === 'dark' ? 'light' : 'dark'),
          )}
          {placesOf(user).map(([title, address]) => (
            <Link key={address} to={address} onClick={() => setOpen(false)}>
              {t(title)}
            </Link>
          ))}
          {act(t('app.signOut'), signOut)}
        </div>
      }
    >
      <button ref={opener} type="button" className="tool" aria-label={name} aria-expanded={open}>
        {short ? initials(user.name) : user.name}
      </button>
    </Floating>
  )
})

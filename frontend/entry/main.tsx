// The interface: who is signed in, the theme, and an address for every view.
import '@fontsource-variable/commissioner/index.css'
import '@fontsource-variable/literata/index.css'
import '@fontsource-variable/literata/wght-italic.css'
import '../shared/styles/tokens.css'
import '../shared/styles/base.css'
import '../shared/styles/frame.css'
import { language } from '../shared/i18n'
import { QueryClientProvider, useQuery } from '@tanstack/react-query'
import { App as AntApp, ConfigProvider } from 'antd'
import enGB from 'antd/locale/en_GB'
import itIT from 'antd/locale/it_IT'
import { StrictMode, useEffect, useMemo, useState } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter, Route, Routes } from 'react-router'
import { ApiError, api } from '../shared/api'
import { Views } from './Views'
import { keepFocus } from '../shared/focus'
import { FreshClient } from '../shared/FreshClient'
import { Failure } from '../shared/Notices'
import { setKeys } from '../shared/keys'
import { SettingsContext } from '../shared/settings'
import { themeFor } from '../shared/theme'
import { keys } from '../shared/queryKeys'
import type { User } from '../shared/types'
import { NewPassword } from '../sign-in/NewPassword'
import { SignIn } from '../sign-in/SignIn'

keepFocus()

const client = new FreshClient({
  defaultOptions: {
    // The server's answer decides, not what the browser thinks of the network.
    queries: { networkMode: 'always', retry: 1, refetchOnWindowFocus: false, staleTime: 2000 },
    mutations: { networkMode: 'always' },
  },
})

// The signed-in user; the keys are known before anything shows or handles one.
async function askWho() {
  const user = await api.get<User>('/session')
  setKeys(user.preferences.keys)
  return user
}

function Glossema() {
  const [mode, setModeState] = useState<'light' | 'dark'>(
    () =>
      (localStorage.getItem('glossema.mode') as 'light' | 'dark' | null) ??
      (window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'),
  )
  const me = useQuery({
    queryKey: keys.me,
    queryFn: askWho,
    retry: false,
    staleTime: Infinity,
  })
  useEffect(() => {
    document.documentElement.dataset.theme = mode
  }, [mode])
  const settings = useMemo(
    () =>
      me.data && {
        user: me.data,
        mode,
        setMode: (next: 'light' | 'dark') => {
          localStorage.setItem('glossema.mode', next)
          setModeState(next)
        },
      },
    [me.data, mode],
  )
  return (
    <ConfigProvider theme={themeFor(mode)} locale={language === 'it' ? itIT : enGB} wave={{ disabled: true }}>
      <AntApp style={{ height: '100%' }} message={{ top: BELOW_BAR }}>
        {settings ? (
          <SettingsContext value={settings}>
            <Views />
          </SettingsContext>
        ) : (
          me.error && <Outside error={me.error} again={() => void me.refetch()} />
        )}
      </AntApp>
    </ConfigProvider>
  )
}

// What was done is said below the navigation, in px from the top.
const BELOW_BAR = 54

// What is seen while nobody is signed in, or while the server does not say who is.
function Outside({ error, again }: { error: Error; again: () => void }) {
  const signedOut = error instanceof ApiError && error.status === 401
  if (!signedOut) return <Failure error={error} again={again} />
  return (
    <Routes>
      <Route path="/new-password/:token" element={<NewPassword />} />
      <Route path="*" element={<SignIn />} />
    </Routes>
  )
}

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <BrowserRouter>
        <Glossema />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
)

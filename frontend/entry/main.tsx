// The interface: who is signed in, the theme, and an address for every view.
import '@fontsource-variable/commissioner/index.css'
import '@fontsource-variable/literata/index.css'
import '@fontsource-variable/literata/wght-italic.css'
import '../shared/styles.css'
import '../shared/i18n'
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query'
import { App as AntApp, ConfigProvider } from 'antd'
import { StrictMode, useEffect, useMemo, useState } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { Brief } from '../brief/Brief'
import { Deliver } from '../deliver/Deliver'
import { Memories } from '../memories/Memories'
import { MemoryView } from '../memories/MemoryView'
import { PutAway } from '../put-away/PutAway'
import { Rules } from '../rules/Rules'
import { ApiError, api } from '../shared/api'
import { Failure } from '../shared/Frame'
import { SettingsContext } from '../shared/settings'
import { themeFor } from '../shared/theme'
import type { User } from '../shared/types'
import { Account } from '../settings/Account'
import { NewPassword } from '../sign-in/NewPassword'
import { SignIn } from '../sign-in/SignIn'
import { Today } from '../today/Today'
import { Translate } from '../translate/Translate'

const client = new QueryClient({
  defaultOptions: {
    // The server's answer decides, not what the browser thinks of the network.
    queries: { networkMode: 'always', retry: 1, refetchOnWindowFocus: false, staleTime: 2000 },
    mutations: { networkMode: 'always' },
  },
})

function Glossema() {
  const [mode, setModeState] = useState<'light' | 'dark'>(
    () =>
      (localStorage.getItem('glossema.mode') as 'light' | 'dark' | null) ??
      (window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'),
  )
  const me = useQuery({
    queryKey: ['me'],
    queryFn: () => api.get<User>('/session'),
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
  const signedOut = me.error instanceof ApiError && me.error.status === 401
  return (
    <ConfigProvider theme={themeFor(mode)} wave={{ disabled: true }}>
      <AntApp style={{ height: '100%' }}>
        {settings ? (
          <SettingsContext value={settings}>
            <Routes>
              <Route path="/" element={<Today />} />
              <Route path="/memories" element={<Memories />} />
              <Route path="/memories/:id" element={<MemoryView />} />
              <Route path="/settings/rules" element={<Rules />} />
              <Route path="/settings/account" element={<Account />} />
              <Route path="/settings/put-away" element={<PutAway />} />
              <Route path="/projects/:id/rules" element={<Rules />} />
              <Route path="/projects/:id/brief" element={<Brief />} />
              <Route path="/projects/:id/translate" element={<Translate />} />
              <Route path="/projects/:id/deliver" element={<Deliver />} />
              <Route path="*" element={<Navigate to="/" replace />} />
            </Routes>
          </SettingsContext>
        ) : signedOut ? (
          <Routes>
            <Route path="/new-password/:token" element={<NewPassword />} />
            <Route path="*" element={<SignIn />} />
          </Routes>
        ) : me.error ? (
          <Failure error={me.error} again={() => void me.refetch()} />
        ) : null}
      </AntApp>
    </ConfigProvider>
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

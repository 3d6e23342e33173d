// The interface: who is signed in, the theme, and an address for every view.
import '@fontsource-variable/commissioner/index.css'
import '@fontsource-variable/literata/index.css'
import '@fontsource-variable/literata/wght-italic.css'
import '../shared/styles/tokens.css'
import '../shared/styles/base.css'
import '../shared/styles/frame.css'
import '../shared/i18n'
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query'
import { App as AntApp, ConfigProvider } from 'antd'
import { StrictMode, useEffect, useMemo, useState } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { Brief } from '../brief/Brief'
import { Client } from '../clients/Client'
import { Clients } from '../clients/Clients'
import { Count } from '../count/Count'
import { CountPage } from '../count/CountPage'
import { QuickCount } from '../count/QuickCount'
import { QuotePage } from '../count/QuotePage'
import { Deliver } from '../deliver/Deliver'
import { Memories } from '../memories/Memories'
import { MemoryView } from '../memories/MemoryView'
import { Termbases } from '../termbases/Termbases'
import { TermbaseView } from '../termbases/TermbaseView'
import { PutAway } from '../put-away/PutAway'
import { Rules } from '../rules/Rules'
import { ApiError, api } from '../shared/api'
import { keepFocus } from '../shared/focus'
import { Failure } from '../shared/Notices'
import { SettingsContext } from '../shared/settings'
import { themeFor } from '../shared/theme'
import { keys } from '../shared/queryKeys'
import type { User } from '../shared/types'
import { Account } from '../settings/Account'
import { NewPassword } from '../sign-in/NewPassword'
import { SignIn } from '../sign-in/SignIn'
import { Today } from '../today/Today'
import { Translate } from '../translate/Translate'
import '../shared/styles/narrow.css'

keepFocus()

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
    queryKey: keys.me,
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
  return (
    <ConfigProvider theme={themeFor(mode)} wave={{ disabled: true }}>
      <AntApp style={{ height: '100%' }}>
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

// An address for every view.
const Views = () => (
  <Routes>
    <Route path="/" element={<Today />} />
    <Route path="/clients" element={<Clients />} />
    <Route path="/clients/:id" element={<Client />} />
    <Route path="/count" element={<QuickCount />} />
    <Route path="/counts/:id" element={<CountPage />} />
    <Route path="/quotes/:id" element={<QuotePage />} />
    <Route path="/memories" element={<Memories />} />
    <Route path="/memories/:id" element={<MemoryView />} />
    <Route path="/termbases" element={<Termbases />} />
    <Route path="/termbases/:id" element={<TermbaseView />} />
    <Route path="/settings/rules" element={<Rules />} />
    <Route path="/settings/account" element={<Account />} />
    <Route path="/settings/put-away" element={<PutAway />} />
    <Route path="/clients/:client/rules" element={<Rules />} />
    <Route path="/projects/:id/rules" element={<Rules />} />
    <Route path="/projects/:id/brief" element={<Brief />} />
    <Route path="/projects/:id/count" element={<Count />} />
    <Route path="/projects/:id/translate" element={<Translate />} />
    <Route path="/projects/:id/deliver" element={<Deliver />} />
    <Route path="*" element={<Navigate to="/" replace />} />
  </Routes>
)

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

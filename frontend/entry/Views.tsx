// An address for every view.
import { lazy, Suspense } from 'react'
import { Navigate, Route, Routes } from 'react-router'
import { Alike } from '../check/alike/Alike'
import { Check } from '../check/Check'
import { CheckProfile } from '../check/profile/CheckProfile'
import { CheckReport } from '../check/report/CheckReport'
import { Words } from '../check/words/Words'
import { Align } from '../align/Align'
import { AlignmentView } from '../align/AlignmentView'
import { Today } from '../today/Today'
import { Projects } from '../projects/Projects'
import { Clients } from '../clients/Clients'
import { Client } from '../clients/Client'
import { QuickCount } from '../count/QuickCount'
import { CountPage } from '../count/CountPage'
import { QuotePage } from '../count/QuotePage'
import { Memories } from '../memories/Memories'
import { MemoryView } from '../memories/MemoryView'
import { Termbases } from '../termbases/Termbases'
import { TermbaseView } from '../termbases/TermbaseView'
import { Rules } from '../rules/Rules'
import { Backups } from '../settings/Backups'
import { Account } from '../settings/Account'
import { Machine } from '../settings/machine/Machine'
import { Keys } from '../settings/keys/Keys'
import { Trash } from '../trash/Trash'
import { Brief } from '../brief/Brief'
import { Count } from '../count/Count'
import { Translate } from '../translate/Translate'
import { GuestPass } from '../review/GuestPass'
import { RoundReport } from '../review/report/RoundReport'
import { Review } from '../review/Review'
import { Questions } from '../notes/Questions'
import { Deliver } from '../deliver/Deliver'
import { Waiting } from '../shared/Notices'
// After the styles of all views.
import '../shared/styles/narrow.css'

// Its texts and pictures are fetched when somebody opens it.
const Guide = lazy(() => import('../guide/Guide'))

export const Views = () => (
  <Routes>
    <Route path="/" element={<Today />} />
    <Route path="/projects" element={<Projects />} />
    <Route path="/clients" element={<Clients />} />
    <Route path="/clients/:id" element={<Client />} />
    <Route path="/count" element={<QuickCount />} />
    <Route path="/counts/:id" element={<CountPage />} />
    <Route path="/quotes/:id" element={<QuotePage />} />
    <Route path="/memories" element={<Memories />} />
    <Route path="/memories/:id" element={<MemoryView />} />
    <Route path="/termbases" element={<Termbases />} />
    <Route path="/termbases/:id/:part?" element={<TermbaseView />} />
    <Route path="/align" element={<Align />} />
    <Route path="/align/:id" element={<AlignmentView />} />
    <Route path="/settings/rules" element={<Rules />} />
    <Route path="/settings/backups" element={<Backups />} />
    <Route path="/settings/account" element={<Account />} />
    <Route path="/settings/machine" element={<Machine />} />
    <Route path="/settings/keys" element={<Keys />} />
    <Route path="/settings/trash" element={<Trash />} />
    <Route path="/clients/:client/rules" element={<Rules />} />
    <Route path="/projects/:id/rules" element={<Rules />} />
    <Route path="/projects/:id/brief" element={<Brief />} />
    <Route path="/projects/:id/count" element={<Count />} />
    <Route path="/projects/:id/translate" element={<Translate />} />
    <Route path="/projects/:id/check" element={<Check />} />
    <Route path="/projects/:id/check/words" element={<Words />} />
    <Route path="/projects/:id/check/alike" element={<Alike />} />
    <Route path="/projects/:id/check/profile" element={<CheckProfile />} />
    <Route path="/projects/:id/check/report" element={<CheckReport />} />
    <Route path="/clients/:client/checks" element={<CheckProfile />} />
    <Route path="/projects/:id/review" element={<Review />} />
    <Route path="/projects/:id/review/:round" element={<RoundReport />} />
    <Route path="/reviews/:id" element={<GuestPass />} />
    <Route path="/projects/:id/questions" element={<Questions />} />
    <Route path="/projects/:id/deliver" element={<Deliver />} />
    <Route
      path="/guide/:chapter?"
      element={
        <Suspense fallback={<Waiting />}>
          <Guide />
        </Suspense>
      }
    />
    <Route path="*" element={<Navigate to="/" replace />} />
  </Routes>
)

// A reviser's pass: the text, one passage open to be written in and remarked on, read one after the other.
import { Failure, Waiting } from '../../shared/Notices'
import { PassageList } from './PassageList'
import { PassHead } from './PassHead'
import type { Drafts } from './drafts'
import type { PassPage } from './queries'
import { usePass, useReading } from './usePass'
import './pass.css'

interface Props {
  round: number
  // To the changes that were made, where they are decided.
  onChanges?: () => void
}

export function Pass({ round, onChanges }: Props) {
  const { page, error, refetch, against, setAgainst, drafts } = usePass(round)
  if (error) return <Failure error={error} again={() => void refetch()} />
  if (!page) return <Waiting />
  return <Loaded {...{ page, against, drafts, onChanges }} onAgainst={setAgainst} />
}

interface LoadedProps {
  page: PassPage
  against: string
  drafts: Drafts
  onAgainst: (key: string) => void
  onChanges?: () => void
}

function Loaded({ page, against, drafts, onAgainst, onChanges }: LoadedProps) {
  const reading = useReading(page, against, drafts)
  return (
    <div className="pass">
      <PassHead {...{ page, reading, onAgainst, onChanges }} />
      <PassageList {...{ page, reading, drafts }} />
    </div>
  )
}

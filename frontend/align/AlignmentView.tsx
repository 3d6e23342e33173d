// Two texts side by side with the ribbon between them: the doubtful walked, put right and confirmed by key.
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { Frame } from '../shared/Frame'
import { Failure, Waiting } from '../shared/Notices'
import { AlignHead } from './AlignHead'
import { BeadList } from './BeadList'
import { Confidence } from './Confidence'
import { useAlignment, type AlignmentPage } from './queries'
import { useAligning } from './useAligning'
import './align.css'

export function AlignmentView() {
  const { t } = useTranslation()
  const id = Number(useParams().id)
  const { data, error, refetch } = useAlignment(id)
  const state = data?.alignment.state
  return (
    <Frame>
      {error && <Failure error={error} again={() => void refetch()} />}
      {!data && !error && <Waiting />}
      {data && state === 'ready' && <Loaded page={data} />}
      {data && state !== 'ready' && (
        <p className="notice">
          {data.alignment.message ?? t(`align.state.${state!}`, { progress: data.alignment.progress })}
        </p>
      )}
    </Frame>
  )
}

function Loaded({ page }: { page: AlignmentPage }) {
  const aligning = useAligning(page)
  return (
    <div className="aligning">
      <Confidence beads={page.beads} open={aligning.at} onOpen={aligning.open} />
      <div>
        <AlignHead {...{ page, aligning }} />
        <BeadList {...{ page, aligning }} />
      </div>
    </div>
  )
}

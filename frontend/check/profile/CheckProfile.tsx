// Which checks run for a project or a client, their levels, and custom checks.
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { Frame } from '../../shared/Frame'
import { Failure, Waiting } from '../../shared/Notices'
import { SideView } from '../SideView'
import { ProfileForm } from './ProfileForm'
import { useProfile, type ProfileOwner } from './queries'
import './profile.css'

export function CheckProfile() {
  const { id, client } = useParams()
  const { t } = useTranslation()
  if (client)
    return (
      <Frame>
        <div className="sheet-view check-side">
          <h1>{t('check.profile.title')}</h1>
          <Loaded owner={`/clients/${Number(client)}`} />
        </div>
      </Frame>
    )
  return (
    <SideView id={Number(id)} title={t('check.profile.title')}>
      {() => <Loaded owner={`/projects/${Number(id)}`} />}
    </SideView>
  )
}

function Loaded({ owner }: { owner: ProfileOwner }) {
  const { data, error, refetch } = useProfile(owner)
  if (error) return <Failure error={error} again={() => void refetch()} />
  return data ? <ProfileForm key={JSON.stringify(data.given)} {...{ owner }} profile={data} /> : <Waiting />
}

// A check profile in edit: the checks by group, custom checks, and saving.
import { Button } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { ImportProfile } from './ImportProfile'
import { KindRow } from './KindRow'
import { OwnRules } from './OwnRules'
import {
  profileFile,
  useKeepProfile,
  type Changed,
  type CheckKind,
  type Given,
  type OwnRule,
  type Profile,
  type ProfileOwner,
} from './queries'

export function ProfileForm({ owner, profile }: { owner: ProfileOwner; profile: Profile }) {
  const { t } = useTranslation()
  const [given, setGiven] = useState<Given>(profile.given)
  const groups = [...new Set(profile.checks.map(({ group }) => group))]
  const change = (kind: CheckKind, changed: Changed) =>
    setGiven({ ...given, checks: { ...given.checks, [kind.code]: changed } })
  const setOwn = (own: OwnRule[]) => setGiven({ ...given, own })
  return (
    <>
      <p className="quiet">{t(`check.profile.from.${profile.from}`, { client: profile.client })}</p>
      <SaveProfile {...{ owner, profile, given }} touched={given !== profile.given} />
      <div className="check-kinds">
        {groups.map((group) => (
          <section key={group} aria-label={t(`check.groups.${group}`)}>
            <h2>{t(`check.groups.${group}`)}</h2>
            <ul>
              {profile.checks
                .filter((kind) => kind.group === group)
                .map((kind) => (
                  <KindRow
                    key={kind.code}
                    kind={kind}
                    changed={given.checks?.[kind.code] ?? {}}
                    onChange={(changed) => change(kind, changed)}
                  />
                ))}
            </ul>
          </section>
        ))}
      </div>
      <OwnRules {...{ owner }} rules={given.own ?? []} languages={profile.languages} onChange={setOwn} />
    </>
  )
}

interface SaveProfileProps {
  owner: ProfileOwner
  profile: Profile
  given: Given
  touched: boolean
}

function SaveProfile({ owner, profile, given, touched }: SaveProfileProps) {
  const { t } = useTranslation()
  const { keep, keepForClient, drop, busy } = useKeepProfile(owner)
  const ofProject = owner.startsWith('/projects')
  const droppable = profile.from === (ofProject ? 'project' : 'client')
  return (
    <p className="keeping">
      <Button type="primary" disabled={!touched} loading={busy} onClick={() => keep(given)}>
        {t(ofProject ? 'check.profile.keep' : 'check.profile.keepHere')}
      </Button>
      {ofProject && profile.client && (
        <button type="button" className="link" onClick={() => keepForClient(given)}>
          {t('check.profile.keepClient', { client: profile.client })}
        </button>
      )}
      {droppable && (
        <button type="button" className="link" onClick={drop}>
          {t(`check.profile.drop.${ofProject && profile.client ? 'project' : 'client'}`)}
        </button>
      )}
      <span className="push" />
      <ImportProfile {...{ owner, keep }} />
      <a className="link" href={profileFile(owner)} download="checks.json">
        {t('check.profile.out')}
      </a>
    </p>
  )
}

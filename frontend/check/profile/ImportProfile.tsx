// A profile from a file: what it would change is shown before it is kept.
import { Button, Modal } from 'antd'
import type { TFunction } from 'i18next'
import { useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useAct } from '../../shared/useAct'
import { previewProfile, type Changed, type Given, type ProfileOwner, type ProfilePreview } from './queries'

interface Props {
  owner: ProfileOwner
  keep: (given: Given) => void
}

export function ImportProfile({ owner, keep }: Props) {
  const { t } = useTranslation()
  const file = useRef<HTMLInputElement>(null)
  const { act } = useAct()
  const [preview, setPreview] = useState<ProfilePreview | null>(null)
  const look = (chosen: File) => void act(async () => setPreview(await previewProfile(owner, chosen)))
  return (
    <>
      <button type="button" className="link" onClick={() => file.current?.click()}>
        {t('check.profile.in')}
      </button>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        className="hidden-text"
        tabIndex={-1}
        aria-label={t('check.profile.in')}
        onChange={(event) => {
          const chosen = event.target.files?.[0]
          event.target.value = ''
          if (chosen) look(chosen)
        }}
      />
      <Modal
        open={preview !== null}
        title={t('check.profile.preview')}
        onCancel={() => setPreview(null)}
        destroyOnHidden
        footer={
          <>
            <Button onClick={() => setPreview(null)}>{t('check.profile.cancel')}</Button>{' '}
            <Button
              type="primary"
              onClick={() => {
                keep(preview!.given)
                setPreview(null)
              }}
            >
              {t('check.profile.import')}
            </Button>
          </>
        }
      >
        {preview && <Changes changes={preview.changes} />}
      </Modal>
    </>
  )
}

function settingText(changed: Changed, t: TFunction) {
  const { level, ...parameters } = changed
  const said = Object.entries(parameters).map(([name, value]) => `${name} ${value}`)
  return [level && (level === 'off' ? t('check.profile.off') : t(`check.levels.${level}`)), ...said]
    .filter(Boolean)
    .join(', ')
}

function Changes({ changes }: { changes: ProfilePreview['changes'] }) {
  const { t } = useTranslation()
  const { checks, added, removed, changed } = changes
  const own = Object.entries({ added, removed, changed }).filter(([, names]) => names.length)
  if (!checks.length && !own.length) return <p>{t('check.profile.same')}</p>
  return (
    <ul className="places">
      {checks.map(([code, now, then]) => (
        <li key={code}>
          {t(`check.codes.${code}`)}: <del>{settingText(now, t) || t('check.profile.usual')}</del>{' '}
          <ins>{settingText(then, t) || t('check.profile.usual')}</ins>
        </li>
      ))}
      {own.map(([how, names]) => (
        <li key={how}>{t(`check.profile.own.${how}`, { names: names.join(', ') })}</li>
      ))}
    </ul>
  )
}

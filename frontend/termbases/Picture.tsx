// The picture of a concept: seen, chosen, taken out.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { TermEntry } from '../shared/types'
import { useAct } from '../shared/useAct'
import { dropPicture, pictureOf, sendPicture } from './queries'

const ACCEPTED = 'image/png,image/jpeg,image/webp'

export function Picture({ entry, fixed }: { entry: TermEntry; fixed?: boolean }) {
  const { t } = useTranslation()
  const { act } = useAct()
  const [there, setThere] = useState(entry.has_image)
  const [turn, setTurn] = useState(0)
  const change = (work: () => Promise<TermEntry>) =>
    void act(async () => {
      setThere((await work()).has_image)
      setTurn((now) => now + 1)
    })
  if (fixed && !there) return null
  return (
    <div className="entry-picture small">
      {there && <img src={`${pictureOf(entry.id)}?${turn}`} alt={t('termbases.pictureOf')} />}
      {!fixed && (
        <label className="plain-link chooser">
          {t(there ? 'termbases.otherPicture' : 'termbases.addPicture')}
          <input
            type="file"
            accept={ACCEPTED}
            className="hidden-text"
            aria-label={t('termbases.addPicture')}
            onChange={(event) => {
              const file = event.target.files?.[0]
              if (file) change(() => sendPicture(entry.id, file))
              event.target.value = ''
            }}
          />
        </label>
      )}
      {!fixed && there && (
        <button type="button" className="plain-link" onClick={() => change(() => dropPicture(entry.id))}>
          {t('termbases.noPicture')}
        </button>
      )}
    </div>
  )
}

// Above the source of an open cue: when it is shown, and how to hear it.
import { useTranslation } from 'react-i18next'
import { number } from '../../shared/i18n'
import { KEYS } from '../../shared/keys'
import { Key } from '../../shared/parts/Key'
import { exactly } from './clock'
import { useCue } from './useTimed'

export function CueTimes({ segment }: { segment: number }) {
  const { t } = useTranslation()
  const at = useCue(segment)
  if (!at) return null
  const { start, finish } = at.cue
  return (
    <p className="cue-times small quiet tab">
      {exactly(start)} → {finish === null ? t('timed.noEnd') : exactly(finish)}
      {finish !== null &&
        ` · ${t('timed.seconds', { text: number(Math.round((finish - start) * 10) / 10) })}`}
      {at.timed.page.film && (
        <>
          {' · '}
          <button type="button" className="link" onClick={() => at.timed.player.playCue('once')}>
            {t('timed.playIt')}
          </button>{' '}
          <Key keys={KEYS.filmCue} />
        </>
      )}
    </p>
  )
}

// Above the source of an open cue: when it is shown, changed where it stands, and how to hear it.
import { useTranslation } from 'react-i18next'
import { number } from '../../shared/i18n'
import { KEYS } from '../../shared/keys'
import { Key } from '../../shared/parts/Key'
import { TextInPlace } from '../../shared/parts/TextInPlace'
import type { Store } from '../store'
import { exactly } from './clock'
import { useCue, type CueAt } from './useTimed'
import { useTimes } from './useTimes'

interface Props {
  segment: number
  store: Store
}

export function CueTimes({ segment, store }: Props) {
  const { t } = useTranslation()
  const at = useCue(segment)
  if (!at) return null
  const { start, finish } = at.cue
  const { fixed, film } = at.timed.page
  return (
    <div className="cue-times small quiet tab">
      {fixed ? (
        <>
          {exactly(start)} → {finish === null ? t('timed.noEnd') : exactly(finish)}
        </>
      ) : (
        <StartAndEnd {...{ at, segment, store }} />
      )}
      {finish !== null &&
        ` · ${t('timed.seconds', { text: number(Math.round((finish - start) * 10) / 10) })}`}
      {film && (
        <>
          {' · '}
          <button type="button" className="link" onClick={() => at.timed.player.playCue('once')}>
            {t('timed.playIt')}
          </button>{' '}
          <Key keys={KEYS.filmCue} />
        </>
      )}
      {!fixed && <Move {...{ at, segment, store }} />}
    </div>
  )
}

function StartAndEnd({ at, segment, store }: Props & { at: CueAt }) {
  const { t } = useTranslation()
  const change = useTimes(store, at.timed.document)
  const { start, finish } = at.cue
  return (
    <>
      <TextInPlace
        label={t('timed.start')}
        value={exactly(start)}
        blank=""
        onChange={(text) => change(segment, { start: text })}
      />{' '}
      →{' '}
      <TextInPlace
        label={t('timed.end')}
        value={finish === null ? '' : exactly(finish)}
        blank={t('timed.noEnd')}
        onChange={(text) => change(segment, { finish: text })}
      />
    </>
  )
}

// The cue and all after it, by so many seconds.
function Move({ at, segment, store }: Props & { at: CueAt }) {
  const { t } = useTranslation()
  const change = useTimes(store, at.timed.document)
  const move = (text: string) =>
    change(segment, { shift: text.replace(',', '.').replace('−', '-').replace(/^\+/, ''), rest: true })
  return (
    <>
      {' · '}
      <TextInPlace label={t('timed.shift')} value="" blank={t('timed.shiftBlank')} onChange={move} />
    </>
  )
}
